# frozen_string_literal: true

require_relative "helper"
require_relative "by_keyboard"
require_relative "tuning"
require_relative "working"

module Kippen
  # The map, a device switched off on it, and from wants without a way to a proposal that is put on, and back.
  class ReachStoriesTest < SystemTest
    include ByKeyboard

    def say(key, **given) = sentence("reach.#{key}", **given)

    # All steps of getting ready are done: what is on a device is there.
    def ready
      done = { "by" => "Hollis", "at" => "2026-11-29T10:00:00Z", "version" => nil }
      wants = [["Answer the call", ACTIONS["long_press"], "must", 6], ["Mark it", ACTIONS["double_tap"], "should", 40],
               ["Call somebody", { "kind" => "help" }, "must", 1]]
      phone = DEMO.document["devices"].map do |one|
        one.merge("ready" => %w[permission awake first-press].to_h do |id|
          [id, done]
        end)
      end
      document = DEMO.document.merge(
        "hosts" => [{ "id" => "phone", "name" => "Phone", "system" => "phone" }], "devices" => phone,
        "wants" => wants.map do |what, action, importance, times|
          { "id" => what.downcase.tr(" ", "-"), "what" => what, "action" => action, "importance" => importance,
            "times_a_day" => times }
        end
      )
      @client = add_client(Fitting.read(document))
    end

    # Nobody else works: what waits is seen to wait.
    def setup
      super
      Tuning::Stories.end_worker("TERM")
    end

    # What the worker does, as soon as it was asked.
    def work
      assert_text say("waiting")
      id = DATABASE[:proposals].where(client_id: @client).reverse(:created_at).get(:id)
      Server::Jobs::Propose.run(id)
    end

    def test_from_wants_without_a_way_to_a_proposal_that_is_put_on_and_back
      ready
      open_step("reach")
      assert_text say("stands", count: 3)
      assert_accessible
      click_button say("propose")
      click_button say("ask")
      work
      assert_selector "aside h3", text: say("take")
      assert_accessible
      within("aside") { find("label", text: /\A3\z/).click }
      assert_text say("saves", changes: say("changes", count: 3), less: "").strip
      click_button say("takeThem")
      saved 2
      assert_text say("stands", count: 0)
      assert_no_selector "td[data-thin] strong", text: say("ways", count: 0)
      click_button sentence("desk.undo")
      saved 3
      assert_text say("stands", count: 3)
    end

    # Some of it only; what it was worked out for is told once the fitting is another.
    def test_some_of_it_and_older_than_the_fitting
      ready
      open_step("reach", sheet: "proposal")
      click_button say("ask")
      work
      within("aside") { find("label", text: /\A2\z/).click }
      within("section[aria-label='#{say("take")}']") { all("label").first.click }
      click_button say("takeThem")
      saved 2
      assert_text say("stands", count: 2)
      click_button say("propose")
      assert_text say("older", of: "1", now: "2")
    end

    # What should be measured is a press away; a device switched off on the map shows what is left; ended when nobody wants it.
    def test_measured_first_switched_off_and_given_up
      ready
      save("assign", button: EDGE, gesture: "long_press", action: ACTIONS["long_press"])
      open_step("reach")
      assert_text say("stands", count: 2)
      pick "Pocket phone", from: say("without")
      assert_text say("stands", count: 3)
      assert_includes page.current_url, "without=pocket-phone"
      visit page.current_url
      assert_text say("stands", count: 3)
      click_button say("propose")
      click_button say("ask")
      assert_text say("waiting")
      click_button say("stop")
      assert_text say("givenUp")
      click_button say("askAnew")
      work
      first("button", text: say("measure")).click
      assert_selector "a[aria-current='page']", text: "Tune"
      assert_no_selector "aside h2", text: say("sheet")
      assert_includes page.current_url, "tuned=pocket-phone"
    end

    # By the keyboard alone: to the step, to the proposal, worked out, put on.
    def test_by_keyboard_alone
      ready
      open_step("check")
      tab_to("Reach")
      press(:enter)
      assert_selector "a[aria-current='page']", text: "Reach"
      tab_to(say("propose"))
      press(:enter)
      assert_selector "aside h2", text: say("sheet")
      tab_to(say("ask"))
      press(:enter)
      work
      tab_to(say("takeThem"))
      press(:enter)
      saved 2
    end
  end
end
