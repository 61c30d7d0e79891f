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
      press_on sentence("tune.apply", to: "This button"), wait: 90
      assert_text sentence("tune.inForce")
      tell_counts "shortest job"
    end

    def new_client_with_a_switch
      work(find_field(sentence("arrange.name")))
      enter "Ulla", :enter
      follow sentence("wants.step.nextDevices")
      work(find("aside li button", text: "Single switch", match: :first))
      work(find("aside button", text: /\AAdd /))
    end

    def give_it_three_gestures
      follow sentence("devices.step.nextButtons")
      GESTURES.each do |gesture, action|
        work(find("[data-button] button[aria-label#{gesture == "tap" ? "*='by itself. Change'" : "^='Add a #{gesture}'"}]"))
        give(action)
      end
    end

    def a_few_presses
      follow "Tune"
      press_on sentence("tune.askForPresses")
      press_on sentence("tune.teachIt")
      prompts { assert_text sentence("bench.pressWithName", name: "Single switch") }
      press_key("F1", 0.1)
      prompts { assert_button sentence("joined.stopListeningEscEsc") }
      answer_prompts(PROMPTS, "F1")
    end
  end
end
