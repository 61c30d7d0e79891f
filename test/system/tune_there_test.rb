# frozen_string_literal: true

require_relative "helper"
require_relative "tuning"

module Kippen
  # Asked for presses while somebody else is there: the client with a device of their own, another specialist.
  class TuneThereTest < SystemTest
    include Tuning::Stories

    CODE = "[aria-label^='Code ']"

    def test_the_clients_own_device_shows_the_prompt_and_nothing_else
      open_step("tune")
      click_button sentence("tune.theirDevice")
      click_button sentence("joining.makeCode")
      code = find(CODE).text
      there do
        resize(390, 760)
        visit "/join?code=#{code.downcase}"
        fill_in sentence("joined.whatThisDeviceCalled"), with: "His phone"
        click_button sentence("joined.join")
        assert_selector "h1", text: sentence("joined.listeningFor", host: "Phone")
      end
      click_button sentence("caseload.close")
      bind_there(EDGE => "F9")
      ask_for("once", "keep down")
      first = prompt
      there do
        assert_selector "main strong", text: first
        assert_accessible
        assert_no_text(/%|\bms\b|wrong|of about/)
        press_key("F9", first == "Press once" ? 0.2 : 1.1)
      end
      prompts { assert_text "Next press 2" }
      there { assert_selector "main strong", text: prompt_of_desk }
      assert_equal ["His phone"], DATABASE[:trials].select_map(:heard_by)
      to_the_end(from: 2, to: 4)
    end

    # By what the client presses there and what is clicked here; no Esc.
    def to_the_end(from:, to:)
      (from...to).each do |number|
        words = prompt
        there do
          assert_selector "main strong", text: words
          press_key("F9", words == "Press once" ? 0.2 : 1.1)
        end
        prompts { assert_text "Next press #{number + 1}" }
      end
      prompts { click_button sentence("tune.enough") }
      assert_no_selector "section[aria-label='#{sentence("tune.prompts")}']"
      there { assert_no_selector "main strong", text: /\A(Press|Keep)/ }
      assert_equal ["His phone"] * (to - 1), DATABASE[:trials].select_map(:heard_by)
      refute_nil DATABASE[:sittings].get(:ended_at)
    end

    def prompt_of_desk
      DATABASE[:sittings].get(:prompt).to_hash["intended"].then { |intended| Words.written.fetch(:"prompt_#{intended}") }
    end

    def bind_there(buttons)
      listener = DATABASE[:listeners].where(name: "His phone").get(:id)
      buttons.each { |button, code| DATABASE[:bindings].insert(listener_id: listener, heard: "key:#{code}", button:) }
    end

    def test_two_people_at_once_step_once
      open_step("tune")
      ask_for("once")
      there do
        browser.execute_cdp("Network.enable")
        browser.execute_cdp("Network.setBlockedURLs", urls: ["*/live"])
        sign_in("lead")
        visit "/clients/#{@client}/tune"
        prompts { assert_text "Next press 1" }
      end
      number = -> { DATABASE[:sittings].get(:prompt).to_hash["number"] }
      first = number.call
      prompts { click_button sentence("tune.skip") }
      assert(eventually { number.call == first + 1 })
      # There the first still stands.
      there do
        prompts { click_button sentence("tune.skip") }
        assert(eventually { answered("/steps") == 1 })
        assert_equal first + 1, number.call
        prompts { click_button sentence("tune.enough") }
      end
      assert_button sentence("tune.askForPresses")
    ensure
      there { browser.execute_cdp("Network.setBlockedURLs", urls: []) }
    end
  end
end
