# frozen_string_literal: true

require_relative "helper"
require_relative "by_keyboard"

module Kippen
  # The whole job from an empty caseload, as it is done beside a client, with every press of the pointer or of Enter
  # counted: a new client with three wants; a phone, a five-button mouse, a remote, a switch box with two switches;
  # their buttons known; every want given a button; the mouse turned round for the left hand; each tried on the bench.
  module WholeJob
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

    def follow(name)
      click_link(name)
      count
    end

    def go_to(field)
      find_field(field).click
      count
    end

    def choose(words)
      find("aside label", text: words, match: :first).click
      count
    end

    def add_one_more(kind)
      find("aside li button", text: kind, match: :first).click
      count
    end

    def tick_off
      first("button[aria-label^='Done: ']").click
      count
    end

    # lane – its name
    def put_it_on_the_long_press(lane)
      within("[data-button][aria-label='#{lane}']") { find("[aria-label^='Put it on the long-press']").click }
      count
    end

    def enter(words)
      page.driver.browser.switch_to.active_element.send_keys(words, :enter)
      count
    end

    def test_the_whole_job
      sign_in_as("specialist")
      parts = %i[take_in write_down_three_wants add_the_devices make_ready teach_the_mouse_and_the_switches
                 give_each_want_a_button
                 turn_the_mouse_round try_each].map { |part| part_of_it(part) }
      puts "whole job #{by}: #{@presses} presses (#{parts.join(", ")})"
      assert_operator @presses, :<=, most
    end

    # Does it; tells how many presses it took.
    def part_of_it(part)
      before = @presses
      send(part)
      "#{@presses - before} to #{part.to_s.tr("_", " ")}"
    end

    def take_in
      go_to "Name"
      enter "Sunniva"
      assert_selector "a[aria-current='page']", text: sentence("wants.step.stepName")
      @client = URI(page.current_url).path.split("/")[2]
    end

    def write_down_three_wants
      go_to sentence("wants.whatDoTheyWant")
      ["answer the phone", "call the nurse", "double click"].each_with_index do |words, index|
        enter words
        saved(index + 2)
      end
      follow sentence("wants.step.nextDevices")
    end

    def add_the_devices
      assert_selector "aside h2", text: sentence("devices.addDevices")
      ["Phone", "Mouse with five buttons", "Television remote", "Interface box for switches"].each do |kind|
        add_one_more kind
      end
      2.times { add_one_more "Single switch" }
      work "Add 6 devices"
      saved(5)
      assert_selector "nav h2", text: sentence("devices.television")
    end

    # What can only be ticked off by hand; that they can be heard is seen by itself.
    def make_ready
      while page.has_selector?("button[aria-label^='Done: ']", wait: 1)
        revision = find("button", text: /Revision \d+, saved/).text[/\d+/].to_i
        tick_off
        saved(revision + 1)
      end
      follow sentence("devices.step.nextButtons")
      assert_selector "section[data-device]", minimum: 4
    end

    # The mouse is known as a whole by one press of it; the switches by a press each.
    def teach_the_mouse_and_the_switches
      work sentence("bench.teachButtons")
      assert_selector "[data-hears-primary]"
      browser.action.move_to(find("[data-hears-primary]").native).pointer_down(:right).pause(duration: 0.05).pointer_up(:right)
        .perform
      count
      %w[F1 F2].each do |code|
        press_key(code, 0.05)
        count
      end
      work sentence("bench.enoughEsc")
      assert_button sentence("bench.standsForChange", name: "Single switch", source: "key F1")
      assert_button sentence("bench.standsForChange", name: "Single switch 2", source: "key F2")
      assert_button sentence("bench.standsForChange", name: "Mouse with five buttons, Back side button", source: "mouse back")
    end

    def give_each_want_a_button
      follow "Wants"
      { "answer the phone" => "Phone, Volume up", "call the nurse" => "Single switch",
        "double click" => "Mouse with five buttons, Back side button" }.each do |want, lane|
        work "Give it a button: #{want}"
        put_it_on_the_long_press lane
        assert_no_selector "[aria-label='#{sentence("lanes.handAlone")}']"
        follow "Wants" unless want == "double click"
      end
    end

    def turn_the_mouse_round
      work "Arrangements"
      choose "Mouse for the left hand"
      work sentence("arrange.put", name: "Mouse with five buttons")
      find("div", text: sentence("confirm.pressHere"), exact_text: true).right_click
      count
      assert_no_selector "h2", text: "to keep the change"
    end

    def try_each
      work sentence("bench.startListening")
      press_key("F1", 0.8)
      count
      assert_text "long-press → Ask for help"
      browser.action.move_to(find("h2",
                                  text: sentence("lanes.whatEachButtonDoes")).native).pointer_down(:back).pause(duration: 0.8)
        .pointer_up(:back).perform
      count
      assert_text "long-press → Double-click as one press"
      press_key("F2", 0.1)
      count
      assert_text "Single switch 2"
    end
  end

  # By pointer, as most do it; letters that are typed don't count.
  class CountedTest < SystemTest
    include WholeJob

    def by = "by pointer"
    def most = 55
  end

  # By keys alone, every one of them counted but letters; what the client presses is pressed all the same.
  class CountedByKeysTest < SystemTest
    include ByKeyboard
    include WholeJob

    def by = "by keys"
    def most = 400

    def press(*keys)
      count(keys.count { |key| !key.is_a?(String) || key.length == 1 })
      super
    end

    def work(name) = reach(name, :enter)

    # What is far is found in the command bar.
    def follow(name)
      return reach(name, :enter) unless name == "Wants"

      press([:control, "k"])
      press("wants", :enter)
      assert_selector "a[aria-current='page']", text: name
    end

    def go_to(field) = tab_to(field)
    def add_one_more(kind) = reach(kind, :enter)
    def tick_off = reach("Done: ", :enter)

    # The one of two ways round that is shorter.
    def reach(name, key)
      page.has_selector?(:link_or_button, name, wait: 5)
      tab_to(name, back: steps_to(name, back: true) < steps_to(name))
      press(key)
    end

    # In a sheet that has just been opened, and takes the focus when it is there.
    def choose(words)
      assert_selector "aside :focus"
      tab_to(words)
      press(:space)
    end

    def put_it_on_the_long_press(lane)
      row = find("[data-button][aria-label='#{lane}']")["data-button"]
      assert_selector "[data-free='true']:focus"
      rows = all("[data-button]").map { |one| one["data-button"] }
      down = rows.index(row) - rows.index(row_of_focus)
      press(down.positive? ? :arrow_down : :arrow_up) until row_of_focus == row
      4.times { focused_name.start_with?(sentence("assign.putOn", gesture: "long-press")) ? break : press(:arrow_right) }
      press(:enter)
    end

    def enter(words) = press(words, :enter)
  end
end
