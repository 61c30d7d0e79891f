# frozen_string_literal: true

require_relative "helper"
require_relative "tuning"

module Kippen
  # From the first prompt to an applied fit, in the real browser.
  class TuneTest < SystemTest
    include Tuning::Stories

    BUTTONS = [{ "id" => "left", "name" => "Left button", "builtin" => "Click" }, { "id" => "right", "name" => "Right button" },
               { "id" => "forward" }].freeze
    MOUSE = { "id" => "mouse", "name" => "Mouse", "kind" => "mouse-five", "worked_with" => "right hand",
              "buttons" => BUTTONS }.freeze

    def add_fitting(members)
      @client = add_client(Formats::FittingJson.read(JSON.generate({ "kippen" => "fitting/1" }.merge(members))))
    end

    def add_mouse(*hands)
      add_fitting("client" => { "name" => "Ottoline Fenwether" }, "hosts" => [{ "id" => "computer", "double_click_ms" => 500 }],
                  "devices" => [MOUSE],
                  "hands" => hands)
    end

    def with_mouse(hand, sorts)
      add_mouse
      worker
      take_in(30, sorts, hand:, button: "mouse/left")
      open_step("tune")
      fitted
    end

    def apply(revision = 2)
      click_button sentence("tune.apply", to: "This button"), wait: 90
      saved revision
    end

    # The client's own presses are keys held for as long as they say.
    def press_as_asked
      before = asked
      case prompt
      when "Press once" then press_key("F9", 0.62)
      when "Press and keep it down" then press_key("F9", 1.3)
      else assert_equal "Rest your hand on it, don’t press", prompt
      end
      before
    end

    def test_real_keys_from_the_first_prompt_to_an_applied_fit
      worker
      give_three_jobs
      open_step("tune")
      bind(EDGE => "F9")
      ask_for("once", "keep down")
      prompts { assert_text sentence("tune.thisBrowserListens") }
      assert_accessible
      # Goes on by itself once nothing more comes.
      2.times { press_as_asked.then { |number| prompts { assert_text "Next press #{number + 1}" } } }
      pick(sentence("tune.never"), from: sentence("tune.goesOn"))
      12.times do
        number = press_as_asked
        prompts { assert_text(/Thank you|as long as this/) }
        prompts { click_button sentence("tune.next") }
        prompts { assert_text "Next press #{number + 1}" }
      end
      fitted
      prompts { click_button sentence("tune.enough") }
      assert_selector "section[aria-label='#{sentence("bench.bench")}']"
      fitted
      assert_operator share_of("today's"), :<, 80
      assert_equal 100, share_of("fitted")
      apply(4)
      found = timing.timing(timing.button(EDGE)).long_press_us
      assert_includes 700_000..1_200_000, found
      find("header button", text: "Revision 4, saved").click
      assert_text(/Timing fitted to 14 presses/)
    end

    def test_a_stand_in_hand_in_at_most_twelve_clicks
      add_mouse(Tuning::Stories::WORN)
      worker
      open_step("assign")
      page.execute_script("window.clicks = 0; window.addEventListener('click', (event) => { if (event.isTrusted) window.clicks " \
                          "+= 1 }, true)")
      find("nav a", text: sentence("tune.step.stepName")).click
      assert_text "Mouse, Left button"
      %w[click double-click].each { |one| assert_selector "label", text: one }
      click_button sentence("tune.askForPresses")
      answered_by("A steady hand on a worn switch")
      reach_prompt(13)
      click_button sentence("tune.enough")
      fitted
      assert_accessible
      apply
      assert_operator page.evaluate_script("window.clicks"), :<=, 12
      size = find("h3", text: sentence("tune.comeOut")).find("strong").style("font-size")["font-size"]
      assert_operator Float(size[/[\d.]+/]), :>=, 40
      assert_equal %w[click double_click drag rest], DATABASE[:trials].distinct.select_map(:intended).sort
    end

    def test_a_worn_mouse_keeps_the_hosts_double_click
      with_mouse(Tuning::Stories::WORN, %w[click double_click click rest])
      assert_operator share_of("today's"), :<, 75
      assert_operator share_of("fitted"), :>=, 95
      assert_equal "100 %", full_row_of("fitted").find("td:nth-of-type(4)").text[/\d+ %/]
      apply
      found = timing.timing(timing.button("mouse/left"))
      assert_operator [found.gap_bridge_us, found.bounce_guard_us].max, :>=, 14_000
      assert_operator found.bounce_guard_us, :<, 260_000
    end

    def test_dragging_is_kept_across_drop_outs
      with_mouse(Tuning::Stories::WEAK, %w[click double_click drag rest])
      assert_operator full_row_of("today's").find("td:nth-of-type(5)").text.to_i, :<, 60
      assert_operator full_row_of("fitted").find("td:nth-of-type(5)").text.to_i, :>=, 90
      apply
      assert_operator timing.timing(timing.button("mouse/left")).gap_bridge_us, :>=, 25_000
    end

    def test_a_tremor_that_no_filter_saves_is_told_with_what_would_help
      add_fitting(DEMO.document.merge("hands" => [Tuning::Stories::TREMOR]))
      save("assign", button: EDGE, gesture: "double_tap", action: ACTIONS["double_tap"])
      worker
      take_in(36, %w[tap double_tap tap rest])
      open_step("tune")
      fitted
      assert_text(/No timing tells this person's double-tap well: \d+ % right/)
      click_button "Put Mark the packet on a long-press"
      saved 3
      assert_equal(%w[long_press], timing.assigned(EDGE).map(&:gesture) - %w[tap])
    end

    def test_a_half_finished_sitting_is_taken_up_again
      open_step("tune")
      bind(EDGE => "F9")
      ask_for("once", "keep down")
      press_as_asked.then { |number| prompts { assert_text "Next press #{number + 1}" } }
      # From here on nothing goes on by itself, however long it takes.
      pick(sentence("tune.never"), from: sentence("tune.goesOn"))
      press_key("F9", 0.3)
      prompts { assert_text "300 ms" }
      prompts { click_button sentence("tune.pause") }
      assert_text "We rest."
      page.refresh
      assert_text "We rest."
      prompts { assert_text "Next press 2" }
      prompts { assert_text "300 ms" }
      prompts { click_button sentence("tune.didNotCount") }
      prompts { assert_text "doesn’t count" }
      prompts { assert_text "Next press 1" }
      prompts { click_button sentence("tune.countsAgain") }
      prompts { click_button sentence("tune.enough") }
      click_button "Go on where it was"
      prompts { assert_text "Next press 2" }
    end

    def test_only_what_can_be_set_is_found
      switch = { "id" => "bedside", "name" => "Bedside switch", "kind" => "switch", "host" => "tv",
                 "buttons" => [{ "id" => "press" }] }
      help = { "button" => "bedside/press", "gesture" => "tap", "action" => { "kind" => "help" } }
      add_fitting("hosts" => [{ "id" => "tv", "system" => "television" }], "devices" => [switch], "assignments" => [help])
      worker
      take_in(24, %w[tap tap rest], hand: Tuning::Stories::WORN, button: "bedside/press")
      open_step("tune")
      fitted
      pick(sentence("assign.bounceGuard"), from: sentence("tune.values"))
      assert_text sentence("tune.settableTo", words: "0, 250, 500 ms")
      assert_equal 100, share_of("fitted")
      apply
      assert_equal 250_000, timing.timing(timing.button("bedside/press")).bounce_guard_us
    end

    # A worker that dies is no reason to wait for ever: another takes its job.
    def test_a_job_of_a_worker_that_died_is_taken_again
      stop_worker("TERM")
      sitting = take_in(48, %w[tap double_tap long_press rest], hand: Tuning::Stories::SLOW)
      fit = Server::Store::Fits.new(DATABASE)
      open_step("tune")
      assert_text "will be found in a moment"
      worker
      assert_text "are being found", wait: 60
      stop_worker("KILL")
      worker
      fitted
      assert_equal [["done", 2]], DATABASE[:fits].where(client_id: @client).select_map(%i[state attempts])
      assert_equal [sitting], fit.find(DATABASE[:fits].where(client_id: @client).get(:id))[:sittings].to_a
    end

    def test_a_squeeze_with_both_its_levels
      demo("sunniva")
      worker
      open_step("tune")
      pick("Grip left", from: sentence("tune.whichButton"))
      click_button sentence("tune.askForPresses")
      answered_by("Fist, weak, drops out")
      wait_for_hand
      prompts { click_button sentence("tune.enough") }
      assert_selector "figure", text: /Level over time pressed from 0\.[3-6]/, wait: 90
      assert_text(/would have been pressed 0 times in [1-9]/)
      pick(sentence("tune.names.press_at"), from: sentence("tune.values"))
      assert_text(/Resting and carrying reached 0\.\d+, the weakest press 0\.\d+/)
      assert_includes DATABASE[:trials].select_map(:intended), "carry"
    end
  end
end
