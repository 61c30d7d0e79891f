# frozen_string_literal: true

require_relative "helper"
require_relative "tuning"
require_relative "by_keyboard"

module Kippen
  # The other ways to presses, and what is done with a fit besides applying it.
  class TuneMoreTest < SystemTest
    include Tuning::Stories
    include ByKeyboard

    SORTS = %w[tap long_press rest].freeze

    def with_keys
      open_step("tune")
      bind(EDGE => "F9")
    end

    # Twice in one go, as a hand that trembles does; ms apart from letting go.
    def press_twice(held, apart)
      at = moment
      [at, at + held + apart].each do |down|
        key("keyDown", "F9", down)
        key("keyUp", "F9", down + held)
      end
      @pressed_to = at + held + apart + held
    end

    def with_fit(**more)
      worker
      take_in(40, SORTS, hand: Tuning::Stories::SLOW, **more)
      open_step("tune")
      fitted
    end

    def other_ways
      find("summary", text: "ther ways").click
    end

    def test_the_filter_found_by_hand
      with_keys
      other_ways
      click_button sentence("tune.byHand")
      assert_text sentence("tune.handTry", ms: "100")
      pick(sentence("tune.never"), from: sentence("tune.goesOn"))
      ["100 ms: counted 2 times", "150 ms: counted once"].each do |said|
        press_twice(0.06, 0.07)
        prompts { assert_text "2 presses" }
        prompts { click_button sentence("tune.next") }
        assert_text said
      end
      assert_text sentence("tune.handFoundAt", ms: "150")
    end

    def test_hand_or_switch
      with_keys
      other_ways
      click_button sentence("tune.anotherFinger")
      assert_text "say something"
      pick(sentence("tune.never"), from: sentence("tune.goesOn"))
      6.times do
        number = asked
        if prompt == "Press once"
          press_twice(0.05, 0.009)
          prompts { assert_text "2 presses" }
        end
        prompts { click_button sentence("tune.next") }
        prompts { assert_text "Next press #{number + 1}" }
      end
      assert_text "came twice with another finger too: the switch is worn."
    end

    def test_presses_from_a_file_and_as_one
      worker
      take_in(12, SORTS, hand: Tuning::Stories::SLOW)
      open_step("tune")
      find("summary", text: "These presses").click
      assert_selector "a[download]"
      file = page.evaluate_async_script("const done = arguments[0]; " \
                                        "fetch(document.querySelector('a[download]').href).then((one) => one.text()).then(done)")
      assert_equal(["trials/1", 12], JSON.parse(file).then { |one| [one["kippen"], one["trials"].size] })
      Dir.mktmpdir do |folder|
        good = File.join(folder, "trials.json")
        bad = File.join(folder, "bad.json")
        File.write(good, file)
        File.write(bad, JSON.generate(JSON.parse(file).merge("trials" => [{ "intended" => "wave" }])))
        find("input[type=file]", visible: :all).attach_file(bad)
        assert_text "must be one of tap, long_press, rest, carry"
        find("input[type=file]", visible: :all).attach_file(good)
        assert_text "12 presses were taken in."
      end
      assert_equal([12, 12], DATABASE[:trials].group_and_count(:sitting_id).all.map { |row| row[:count] })
    end

    def test_presses_of_another_button_count_as_this_ones_where_it_is_said
      worker
      take_in(20, SORTS, hand: Tuning::Stories::SLOW)
      open_step("tune")
      fitted
      pick("Volume up", from: sentence("tune.whichButton"))
      assert_text sentence("tune.noneOfThis")
      assert_no_selector "a[download]"
      pick("Pocket phone, Edge key", from: sentence("tune.whichPresses"))
      fitted
      assert_text "From 20 presses, 20 of them of another button (Pocket phone, Edge key) that count as this one's."
      click_button sentence("tune.apply", to: "This button")
      assert_text sentence("tune.inForce")
      assert_equal 1, DATABASE[:evidence].count
    end

    def test_a_boundary_is_moved_by_keys_a_value_held_and_the_price_set
      with_fit
      tab_to("Long-press time of")
      3.times { press(:arrow_left) }
      assert_text sentence("tune.noChange")
      assert_no_selector "tr", text: "moved to"
      press(:enter)
      assert_selector "tr", text: "moved to"
      tab_to("Long-press time of")
      7.times { press(:page_down) }
      assert_text(/0 put right, [1-9]\d* put wrong/)
      click_button sentence("tune.putBack")
      assert_no_selector "tr", text: "moved to"
      pick(sentence("assign.longPressTime"), from: sentence("tune.values"))
      find("label", text: "Hold it at").click
      assert(eventually { DATABASE[:fits].exclude(fixed: Sequel.pg_jsonb({})).any? })
      fitted
      assert_equal 1, DATABASE[:fits].exclude(fixed: Sequel.pg_jsonb({})).count
      find("input[type=range]").send_keys(:arrow_right)
      assert(eventually { DATABASE[:fits].select_map(:price).include?(0.1) })
    end

    def test_a_mark_tells_its_story_by_keys_and_in_the_table
      with_fit
      find("button[aria-label^='once, ']", match: :first).send_keys(:enter)
      assert_selector "h3", text: sentence("tune.why")
      assert_text "today's: something else came of it"
      assert_text "fitted: as meant"
      assert_accessible
      click_button sentence("tune.backToValue")
      find("summary", text: sentence("tune.allPresses")).click
      click_button sentence("tune.whyOf", number: "1")
      assert_selector "h3", text: sentence("tune.why")
    end

    def test_a_press_of_the_bench_is_kept
      with_keys
      open_step("assign")
      open_bench
      press_key("F9", 0.2)
      pick(sentence("bench.wanted.tap"), from: sentence("bench.itWasMeantAs"))
      bench { click_button sentence("bench.keepForTune") }
      assert_text sentence("bench.keptForTune")
      assert_equal [%w[tap browser]], DATABASE[:trials].select_map(%i[intended heard_by])
    end

    def test_another_day_against_these
      worker
      take_in(24, SORTS, hand: Tuning::Stories::SLOW)
      take_in(24, SORTS, hand: Tuning::Stories::SLOW, slower: 1.6)
      open_step("tune")
      fitted
      find("summary", text: sentence("tune.followUp")).click
      assert_text(/How long presses last: [\d.]+ ms then, [\d.]+ ms now: it has changed/)
      assert_text "its first half against its second"
      assert_accessible
    end

    def test_who_may_only_look_sees_the_result
      with_fit
      viewer = DATABASE[:accounts].where(service_id: @service, role: "viewer").get(:id)
      DATABASE[:viewings].insert(account_id: viewer, client_id: @client)
      there do
        sign_in_as("viewer")
        visit "/clients/#{@client}/tune"
        assert_text sentence("tune.comeOut")
        assert_no_button sentence("tune.apply", to: "This button")
        assert_no_button sentence("tune.askAnother")
        assert_accessible
      end
    end

    def test_on_a_phone_and_at_night
      with_fit
      resize(360, 740)
      browser.execute_cdp("Emulation.setEmulatedMedia",
                          features: [{ name: "prefers-color-scheme", value: "dark" },
                                     { name: "prefers-reduced-motion", value: "reduce" }])
      page.refresh
      fitted
      assert_operator page.evaluate_script("document.documentElement.scrollWidth"), :<=, 360
      assert_accessible
    end
  end
end
