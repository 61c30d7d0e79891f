# frozen_string_literal: true

require_relative "helper"
require_relative "by_keyboard"
require_relative "tuning"

module Kippen
  # Whoever sits beside the client keeps pointer and keys, whatever is bound to a button of theirs.
  class PointerStaysTest < SystemTest
    include ByKeyboard
    include Tuning::Stories

    STILL = /\A(Rest|Carry)/

    MOUSE = { "id" => "mouse", "name" => "Mouse", "kind" => "mouse-five", "host" => "computer",
              "buttons" => [{ "id" => "left", "name" => "Left" }] }.freeze
    COMPUTER = { "id" => "computer", "name" => "Computer", "system" => "computer" }.freeze

    def mouse
      @client = add_client(Fitting.read("kippen" => "fitting/1", "client" => { "name" => "Bram" }, "hosts" => [COMPUTER],
                                        "devices" => [MOUSE]))
    end

    def click_on(element) = browser.action.move_to(element.native).click.perform
    def card = find("[data-hears-primary]")

    # Presses of the client as they were kept: how often each was pressed.
    def kept = DATABASE[:trials].order(:number).select_map(:trace).map { |trace| trace.count { |row| row[1] == "down" } }

    # Asks, and teaches the left button where one is: in Tune, on the card.
    def taught_in_tune
      mouse
      open_step("tune")
      click_button sentence("tune.askForPresses")
      prompts { assert_text "Next press 1" }
      prompts { click_button sentence("tune.teachIt") }
      prompts { assert_text sentence("bench.pressWithName", name: "Mouse") }
      click_on(card)
      prompts { assert_button sentence("joined.stopListeningEscEsc") }
    end

    def test_a_sitting_with_the_left_mouse_button_to_its_end_without_escape
      taught_in_tune
      pick(sentence("tune.never"), from: sentence("tune.goesOn"))
      click_on(find_button(sentence("tune.pause")))
      assert_text "We rest."
      click_on(find_button(sentence("tune.goOn")))
      prompts { assert_no_text "We rest." }
      prompts { assert_text "nothing yet" }
      6.times do
        number = asked
        case prompt
        when /double|twice/i then browser.action.move_to(card.native).click.pause(duration: 0.1).click.perform
        when STILL then nil
        else click_on(card)
        end
        prompts { assert_no_selector "i[data-there='false']" }
        click_on(find_button(sentence("tune.next")))
        prompts { assert_text "Next press #{number + 1}" }
      end
      click_on(find_button(sentence("tune.skip")))
      prompts { assert_text "Next press 7" }
      prompts { assert_text "nothing yet" }
      click_on(find("a", text: sentence("wants.step.stepName")))
      assert_selector "a[aria-current='page']", text: sentence("wants.step.stepName")
      click_on(find("a", text: sentence("tune.step.stepName")))
      click_on(find_button(sentence("tune.enough")))
      assert_no_selector "section[aria-label='#{sentence("tune.prompts")}']"
      asked = DATABASE[:trials].order(:number).select_map(:intended)
      assert_equal(asked.map { |one| { "rest" => 0, "carry" => 0, "double_tap" => 2, "double_click" => 2 }.fetch(one, 1) }, kept)
    end

    def test_enter_and_space_on_a_control_work_it_and_never_count
      open_step("tune")
      bind(EDGE => "Enter")
      ask_for("once", "keep down")
      prompts { assert_button sentence("joined.stopListeningEscEsc") }
      find_button(sentence("tune.pause")).native.send_keys(:enter)
      assert_text "We rest."
      find_button(sentence("tune.goOn")).native.send_keys(:enter)
      prompts { assert_no_text "We rest." }
      prompts { assert_text "nothing yet" }
      find("section[aria-label='#{sentence("tune.prompts")}']").native.send_keys(:enter)
      prompts { assert_no_text "nothing yet" }
    end

    def test_escape_in_a_sheet_closes_the_sheet_and_teaching_goes_on
      give_three_jobs
      open_desk
      click_button sentence("bench.teachButtons")
      assert_text sentence("bench.pressWithName", name: "Pocket phone, Edge key")
      lane { click_button "tap: Wake the screen" }
      find("aside h2").native.send_keys(:escape)
      assert_no_selector "aside h2"
      assert_text sentence("bench.pressWithName", name: "Pocket phone, Edge key")
      find("[data-hears-primary]").native.send_keys(:escape)
      assert_no_text sentence("bench.pressWithName", name: "Pocket phone, Edge key")
    end

    def test_what_is_known_is_bound_anew_only_after_a_question
      open_desk
      bind_edge_to "F8"
      click_button sentence("bench.teachButtons")
      assert_text sentence("bench.pressWithName", name: "Pocket phone, Volume up")
      press_key("F8", 0.05)
      assert_text sentence("bench.knownAlready", source: "key F8", name: "Pocket phone, Edge key")
      click_button sentence("bench.letItStand")
      assert_text sentence("bench.pressWithName", name: "Pocket phone, Volume up")
      press_key("F8", 0.05)
      click_button sentence("bench.standsInstead", name: "Pocket phone, Volume up")
      assert_text sentence("bench.pressWithName", name: "Pocket phone, Volume down")
      click_button sentence("bench.enoughEsc")
      assert_button sentence("bench.standsForChange", name: "Pocket phone, Volume up", source: "key F8")
      assert_no_button sentence("bench.standsForChange", name: "Pocket phone, Edge key", source: "key F8")
    end

    def test_a_press_on_the_bench_ticks_off_that_it_was_heard
      open_step("devices")
      steps = -> { find("a", text: sentence("devices.step.stepName")).text[/\d+/].to_i }
      before = steps.call
      assert_operator before, :>, 0
      assert_text "Press any button of it once"
      bind_edge_to "F8"
      listen
      press_key("F8", 0.05)
      assert_text "heard by Kippen itself"
      eventually { steps.call == before - 1 }
      assert_equal before - 1, steps.call
    end
  end
end
