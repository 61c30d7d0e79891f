# frozen_string_literal: true

require_relative "helper"
require_relative "working"

module Kippen
  # What a newcomer does on the first morning, from an empty service to a client who is helped.
  class NewcomerTest < SystemTest
    include Working

    WANTS = ["answer the phone", "ask for help", "next page"].freeze
    MOST_CLICKS = 52
    MOST_KEYS = 25

    PARTS = %i[an_account_of_ones_own take_in_a_client write_down_three_wants add_the_devices make_ready
               three_gestures teach_the_buttons a_sitting look_back_and_undo an_apps_place a_held_mode a_shortlist].freeze

    def test_the_first_morning
      worker
      visit "/"
      told = PARTS.map do |part|
        before = [@clicks, @keys]
        send(part)
        "#{@clicks - before[0]} + #{@keys - before[1]} #{part.to_s.tr("_", " ")}"
      end
      tell_counts "first morning (#{told.join(", ")})"
    end

    def an_account_of_ones_own
      press_on sentence("signin.setUpYourOwn")
      assert_selector "input:focus"
      enter "Withy Bed", :tab, "Una", :tab, "una@withy.example", :tab, PASSWORD, :enter
      assert_text "No client here yet"
    end

    def take_in_a_client
      work(find_field(sentence("arrange.name")))
      enter "Sunniva", :enter
      assert_selector "a[aria-current='page']", text: sentence("wants.step.stepName")
    end

    def write_down_three_wants
      work(find_field(sentence("wants.whatDoTheyWant")))
      WANTS.each_with_index do |words, index|
        enter words, :enter
        saved(index + 2)
      end
    end

    def add_the_devices
      follow sentence("wants.step.nextDevices")
      ["Phone", "Mouse with five buttons", "Single switch"].each do |kind|
        work(find("aside li button", text: kind, match: :first))
      end
      work(find("aside button", text: /\AAdd /))
      saved(5)
    end

    def make_ready
      while page.has_selector?("button[aria-label^='Done: ']", wait: 1)
        revision = find("button", text: /Revision \d+, saved/).text[/\d+/].to_i
        work(first("button[aria-label^='Done: ']"))
        saved(revision + 1)
      end
      follow sentence("devices.step.nextButtons")
    end

    def three_gestures
      give_the("tap", "Single switch", "next page")
      give_the("long-press", "Single switch", "ask for help")
      give_the("double-tap", "Phone, Edge key", "answer the phone")
    end

    TAP = "button[aria-label*='by itself. Change'], button[aria-label^='tap:']"

    def give_the(gesture, button, action)
      lane_of(button) { work(find(gesture == "tap" ? TAP : "button[aria-label^='Add a #{gesture}']")) }
      give(action)
    end

    def teach_the_buttons
      press_on sentence("bench.teachButtons")
      browser.action.move_to(find("[data-hears-primary]").native).pointer_down(:right).pause(duration: 0.05).pointer_up(:right)
        .perform
      assert_text sentence("bench.pressWithName", name: "Phone")
      press_on sentence("bench.skipDevice")
      assert_text sentence("bench.pressWithName", name: "Single switch")
      press_key("F1", 0.05)
      assert_no_text sentence("bench.pressWithName", name: "Single switch")
    end

    def a_sitting
      follow "Tune"
      choose "Single switch", from: sentence("devices.button")
      press_on sentence("tune.askForPresses")
      answer_prompts(4, "F1")
      press_on sentence("tune.apply", to: "This button"), wait: 90
      assert_text sentence("tune.inForce")
    end

    def look_back_and_undo
      work(find("button", text: /Revision \d+, saved/))
      assert_text "Timing fitted to 4 presses"
      press_on "Undo"
    end

    def an_apps_place
      follow "Assign"
      pick_from "Place", sentence("lanes.anotherPlace")
      work(find_field(sentence("where.whichApp")))
      enter "Tidebook", :enter
      # Enter has chosen the app, and with it added the place.
      press_on sentence("devices.addAlone") unless page.has_no_selector?("aside", wait: 3)
      lane_of("Single switch") { work(find("button[aria-label^='tap:']")) }
      give "louder"
    end

    def a_held_mode
      work(find("label", text: sentence("lanes.where"), exact_text: true))
      work(find("label", text: sentence("where.views.modes"), exact_text: true))
      press_on sentence("where.addMode")
      work(find_field(sentence("kinds.name")))
      enter "Bells", :enter
      press_on sentence("wants.giveButtonWithWhat", what: "Bells")
      choose "Right button", from: sentence("devices.button")
      work(find("label", text: sentence("where.how.held")))
      press_on sentence("where.put")
      assert_no_text sentence("where.nothingTakesIt")
      press_on sentence("where.showLanesOf", name: "Bells")
      give_the("tap", "Single switch", "quieter")
    end

    def a_shortlist
      work(find("label", text: sentence("lanes.where"), exact_text: true))
      work(find("label", text: sentence("where.views.shortlists"), exact_text: true))
      press_on sentence("where.addShortlist")
      work(find_field(sentence("kinds.name")))
      enter "Often"
      ["call for help", "answer the phone"].each_with_index do |words, index|
        press_on sentence("where.addLine")
        choose_found "Line #{index + 1}", words
      end
      press_on sentence("devices.addAlone")
      assert_no_field "Line 1"
      press_on sentence("where.openWithOf", name: "Often")
      choose "Volume up", from: sentence("devices.button")
      press_on sentence("where.put")
      assert_no_text sentence("where.openedByNothing")
    end
  end
end
