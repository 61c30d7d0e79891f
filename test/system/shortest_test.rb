# frozen_string_literal: true

require_relative "helper"
require_relative "working"

module Kippen
  # The shortest job there is, as it is done beside a client: a new client with one switch, three gestures on it, a
  # few presses, the timing that fits them.
  class ShortestTest < SystemTest
    include Working

    PROMPTS = 6
    GESTURES = { "tap" => "next page", "double-tap" => "page before", "long-press" => "ask for help" }.freeze
    MOST_CLICKS = 13
    MOST_KEYS = 7

    def test_the_shortest_job
      worker
      sign_in_as("specialist")
      new_client_with_a_switch
      give_it_three_gestures
      a_few_presses
      press_on "Apply: This button", wait: 90
      assert_text "This is what the button has now."
      tell_counts "shortest job"
    end

    def new_client_with_a_switch
      work(find_field("Name"))
      enter "Ulla", :enter
      follow "Next: the devices they can work"
      work(find("aside li button", text: "Single switch", match: :first))
      work(find("aside button", text: /\AAdd /))
    end

    def give_it_three_gestures
      follow "Next: what each button does"
      GESTURES.each do |gesture, action|
        work(find("[data-button] button[aria-label#{gesture == "tap" ? "*='by itself. Change'" : "^='Add a #{gesture}'"}]"))
        give(action)
      end
    end

    def a_few_presses
      follow "Tune"
      press_on "Ask for presses"
      press_on "Teach this browser the button"
      prompts { assert_text "Press Single switch" }
      press_key("F1", 0.1)
      prompts { assert_button "Stop listening (Esc, Esc)" }
      answer_prompts(PROMPTS, "F1")
    end
  end
end
