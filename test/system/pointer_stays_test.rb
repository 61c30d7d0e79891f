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
      click_button "Ask for presses"
      prompts { assert_text "Next press 1" }
      prompts { click_button "Teach this browser the button" }
      prompts { assert_text "Press Mouse" }
      click_on(card)
      prompts { assert_button "Stop listening (Esc, Esc)" }
    end

    def test_a_sitting_with_the_left_mouse_button_to_its_end_without_escape
      taught_in_tune
      pick("when I say so", from: "Goes on")
      click_on(find_button("Pause"))
      assert_text "We rest."
      click_on(find_button("Go on"))
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
        click_on(find_button("Next"))
        prompts { assert_text "Next press #{number + 1}" }
      end
      click_on(find_button("Skip"))
      prompts { assert_text "Next press 7" }
      prompts { assert_text "nothing yet" }
      click_on(find("a", text: "Wants"))
      assert_selector "a[aria-current='page']", text: "Wants"
      click_on(find("a", text: "Tune"))
      click_on(find_button("Enough for today"))
      assert_no_selector "section[aria-label='Prompts']"
      asked = DATABASE[:trials].order(:number).select_map(:intended)
      assert_equal(asked.map { |one| { "rest" => 0, "carry" => 0, "double_tap" => 2, "double_click" => 2 }.fetch(one, 1) }, kept)
    end

    def test_enter_and_space_on_a_control_work_it_and_never_count
      open_step("tune")
      bind(EDGE => "Enter")
      ask_for("once", "keep down")
      prompts { assert_button "Stop listening (Esc, Esc)" }
      find_button("Pause").native.send_keys(:enter)
      assert_text "We rest."
      find_button("Go on").native.send_keys(:enter)
      prompts { assert_no_text "We rest." }
      prompts { assert_text "nothing yet" }
      find("section[aria-label='Prompts']").native.send_keys(:enter)
      prompts { assert_no_text "nothing yet" }
    end

    def test_escape_in_a_sheet_closes_the_sheet_and_teaching_goes_on
      give_three_jobs
      open_desk
      click_button "Teach the buttons"
      assert_text "Press Pocket phone, Edge key"
      lane { click_button "tap: Wake the screen" }
      find("aside h2").native.send_keys(:escape)
      assert_no_selector "aside h2"
      assert_text "Press Pocket phone, Edge key"
      find("[data-hears-primary]").native.send_keys(:escape)
      assert_no_text "Press Pocket phone, Edge key"
    end

    def test_what_is_known_is_bound_anew_only_after_a_question
      open_desk
      bind_edge_to "F8"
      click_button "Teach the buttons"
      assert_text "Press Pocket phone, Volume up"
      press_key("F8", 0.05)
      assert_text "key F8 is known: it stands for Pocket phone, Edge key."
      click_button "Let it stand so"
      assert_text "Press Pocket phone, Volume up"
      press_key("F8", 0.05)
      click_button "It shall stand for Pocket phone, Volume up"
      assert_text "Press Pocket phone, Volume down"
      click_button "Enough (Esc)"
      assert_button "Pocket phone, Volume up: key F8 stands for it. Change"
      assert_no_button "Pocket phone, Edge key: key F8 stands for it. Change"
    end

    def test_a_press_on_the_bench_ticks_off_that_it_was_heard
      open_step("devices")
      steps = -> { find("a", text: "Devices").text[/\d+/].to_i }
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
