# frozen_string_literal: true

require_relative "helper"

module Kippen
  # The whole job from an empty caseload, as it is done beside a client, with every press of the pointer or of Enter
  # counted: a new client with three wants; a phone, a five-button mouse, a remote, a switch box with two switches;
  # their buttons known; every want given a button; the mouse turned round for the left hand; each tried on the bench.
  class CountedTest < SystemTest
    MOST = 55

    def setup
      super
      @presses = 0
    end

    def count(times = 1) = @presses += times

    # By what stands on it.
    def work(name)
      click_button(name)
      count
    end

    def choose_label(words, within: "aside")
      find("#{within} label", text: words, match: :first).click
      count
    end

    def enter(words)
      page.driver.browser.switch_to.active_element.send_keys(words, :enter)
      count
    end

    def test_the_whole_job
      sign_in_as("specialist")
      take_in
      write_down_three_wants
      add_the_devices
      make_ready
      teach_the_mouse_and_the_switches
      give_each_want_a_button
      turn_the_mouse_round
      try_each
      puts "whole job: #{@presses} presses"
      assert_operator @presses, :<=, MOST
    end

    def take_in
      find_field("Name").click
      count
      enter "Sunniva"
      assert_selector "a[aria-current='page']", text: "Wants"
      @client = URI(page.current_url).path.split("/")[2]
    end

    def write_down_three_wants
      find_field("What do they want to do?").click
      count
      ["answer the phone", "call the nurse", "double click"].each_with_index do |words, index|
        enter words
        saved(index + 2)
      end
      click_link "Next: the devices they can work"
      count
    end

    def add_the_devices
      assert_selector "aside h2", text: "Add devices"
      ["Phone", "Mouse with five buttons", "Television remote", "Interface box for switches"].each do |kind|
        find("aside li button", text: kind, match: :first).click && count
      end
      2.times { find("aside li button", text: "Single switch").click && count }
      work "Add 6 devices"
      saved(5)
      assert_selector "nav h2", text: "Television"
    end

    # What can only be ticked off by hand; that they can be heard is seen by itself.
    def make_ready
      while page.has_selector?("button[aria-label^='Done: ']", wait: 1)
        revision = find("button", text: /Revision \d+, saved/).text[/\d+/].to_i
        first("button[aria-label^='Done: ']").click
        count
        saved(revision + 1)
      end
      click_link "Next: what each button does"
      count
      assert_selector "section[data-device]", minimum: 4
    end

    # The mouse is known as a whole by one press of it; the switches by a press each.
    def teach_the_mouse_and_the_switches
      work "Teach the buttons"
      assert_selector "[data-hears-primary]"
      browser.action.move_to(find("[data-hears-primary]").native).pointer_down(:right).pause(duration: 0.05).pointer_up(:right).perform
      count
      %w[F1 F2].each do |code|
        press_key(code, 0.05)
        count
      end
      work "Enough (Esc)"
      assert_button "Single switch: key F1 stands for it. Change"
      assert_button "Single switch 2: key F2 stands for it. Change"
      assert_button "Mouse with five buttons, Back side button: mouse back stands for it. Change"
    end

    def give_each_want_a_button
      click_link "Wants"
      count
      { "answer the phone" => "Phone, Volume up", "call the nurse" => "Single switch",
        "double click" => "Mouse with five buttons, Back side button" }.each do |want, lane|
        work "Give it a button: #{want}"
        within("[data-button][aria-label='#{lane}']") { find("[aria-label^='Put it on the long-press']").click }
        count
        assert_no_selector "[aria-label='In hand']"
        click_link("Wants") && count unless want == "double click"
      end
    end

    def turn_the_mouse_round
      work "Arrangements"
      choose_label "Mouse for the left hand"
      work "Put it on Mouse with five buttons"
      find("div", text: "Press it here", exact_text: true).right_click
      count
      assert_no_selector "h2", text: "to keep the change"
    end

    def try_each
      work "Start listening"
      press_key("F1", 0.8)
      count
      assert_text "long-press → Ask for help"
      browser.action.move_to(find("h2", text: "What each button does").native).pointer_down(:back).pause(duration: 0.8).pointer_up(:back).perform
      count
      assert_text "long-press → Double-click as one press"
      press_key("F2", 0.1)
      count
      assert_text "Single switch 2"
    end
  end
end
