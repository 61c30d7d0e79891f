# frozen_string_literal: true

require_relative "confirming_case"

module Kippen
  # The button one confirms with goes elsewhere: confirmed by the new one, or taken back.
  class ConfirmingTest < ConfirmingCase
    # What one confirms with is needed where it is, until another button does it.
    def needed(button)
      lane = ask("/api/clients/#{@client}/lanes")["lanes"].find { |one| one["button"]["ref"] == button }
      lane["cautions"].select { |one| one["id"] == "needed" }.map { |one| one["stands"] }
    end

    def test_that_it_is_needed_stands_until_another_has_it
      change = { "kind" => "assign", "button" => "mouse/left", "gesture" => "tap", "action" => { "kind" => "help" },
                 "keep" => false }
      send_json(:post, "/api/clients/#{@client}/revisions", "opened_on" => 1, "change" => change)
      assert_equal [true], needed("mouse/left")
      click = change.merge("button" => "mouse/back", "action" => { "kind" => "click", "button" => "left" })
      send_json(:post, "/api/clients/#{@client}/revisions", "opened_on" => 2, "change" => click)
      assert_equal [false], needed("mouse/left")
    end

    def test_the_other_button_confirms
      swap(confirm_s: 60, page: "mine")
      assert_equal [2, "mine", ["Mouse, Right button"], ["Mouse, Left button"], ["mouse right"],
                    [{ "source" => "pointer:2", "button" => "mouse/right" }]],
                   [*pending.values_at("revision", "page"),
                    *%w[buttons lost].map { |which| pending[which].map { |one| one["name"] } },
                    *pending.values_at("heard_as", "sources")]
      assert_includes 50_000..60_000, pending["left_ms"]
      press("mouse/left")
      refute_nil pending
      press("mouse/right")
      assert_equal [nil, true, 60], [pending, swapped?, desk["confirm_s"]]
      run_out
      assert swapped?
    end

    # What the click filter ignores, a hand that lets go too late, and a message sent once more do no job.
    def test_only_what_does_the_job_confirms
      change({ "kind" => "timing", "button" => "mouse/right", "setting" => "brush_guard_ms", "value" => 500 })
      swap
      press("mouse/right")
      refute_nil pending, "ignored by the brush guard"
      send_json(:post, "/api/clients/#{@client}/steps", "step" => "undo", "revision" => 3)
      change({ "kind" => "timing", "button" => "mouse/right", "setting" => "brush_guard_ms", "value" => nil }, parent: 4)
      change(SWAP, parent: 5)
      press("mouse/right")
      assert_nil pending
      send_json(:post, "/api/clients/#{@client}/steps", "step" => "undo", "revision" => 6)
      press("mouse/left")
      change(SWAP, parent: 7)
      refute_nil pending
      messages = [[@number - 3, "down"], [@number - 2, "up"]].map do |number, kind|
        { "number" => number, "t_us" => number * 400_000, "source" => "mouse/right", "kind" => kind }
      end
      send_json(:post, "/api/streams/#{@stream}/messages", "messages" => messages)
      refute_nil pending, "the same messages once more"
    end

    def test_a_press_that_comes_too_late_confirms_nothing
      swap
      run_out
      press("mouse/right")
      assert_equal [false, 3], [swapped?, desk["revision"]["number"]]
    end

    def test_there_can_be_more_time
      swap(confirm_s: 20)
      DATABASE[:confirmations].update(until: Time.now + 2)
      confirm("more_time" => true)
      assert_equal({ "state" => "more_time", "words" => "20 seconds from now." }, answer)
      assert_includes 15_000..20_000, pending["left_ms"]
      run_out
      confirm("more_time" => true)
      assert_equal "nothing", answer["state"]
    end

    def settings
      ask("/api/clients/#{@client}/settings")["of"].find { |one| one["id"] == "mouse" }["settings"].to_h do |one|
        one.values_at("id", "value")
      end
    end

    # Back to how it came, and not confirmed: all that was lost comes back, and what others did since stays.
    def test_all_of_it_is_taken_back_but_what_others_changed_since
      change({ "kind" => "setting", "of" => "device", "id" => "mouse", "setting" => "wheel_lines", "value" => 1 })
      change(SWAP, parent: 2)
      press("mouse/right")
      change({ "kind" => "reset", "device" => "mouse" }, parent: 3)
      refute_nil pending
      change({ "kind" => "assign", "button" => "mouse/middle", "gesture" => "tap", "action" => { "kind" => "help" } }, parent: 4)
      change({ "kind" => "setting", "of" => "device", "id" => "mouse", "setting" => "wheel_lines", "value" => 5 }, parent: 5)
      run_out
      assert swapped?
      assert_equal 5, settings["wheel_lines"]
      buttons = ask("/api/clients/#{@client}/fitting")["assignments"].map { |item| item["button"] }
      assert_equal %w[mouse/forward mouse/left mouse/middle mouse/right], buttons.grep(/mouse/).sort
      assert_equal "Revision 4 taken back: nobody confirmed it. Changed since, so it stays: Mouse, wheel lines: 1 → its own",
                   desk["revision"]["note"]
    end

    # Nobody confirmed either of two: both go, and each is named.
    def test_several_that_nobody_confirmed_are_taken_back_together
      swap
      change({ "kind" => "assign", "button" => "mouse/back", "gesture" => "tap",
               "action" => { "kind" => "click", "button" => "left" } }, parent: 2)
      change({ "kind" => "clear", "button" => "mouse/right", "gesture" => "tap" }, parent: 3)
      assert_equal [4, ["Mouse, Back side button"]], [pending["revision"], pending["buttons"].map { |one| one["name"] }]
      run_out
      refute swapped?
      assert_equal "Revisions 2, 3, 4 taken back: nobody confirmed it", desk["revision"]["note"]
    end

    # Who saves from no page of Kippen's has everybody's revisions against it, also one's own.
    def test_without_a_page_all_others_count
      add_client(MOUSE)
      change({ "kind" => "client", "name" => "One" })
      change({ "kind" => "client", "name" => "Two" })
      assert_equal 409, status
      send_json(:post, "/api/clients/#{@client}/revisions", "opened_on" => 2, "page" => "mine",
                                                            "change" => { "kind" => "client", "name" => "Two" })
      send_json(:post, "/api/clients/#{@client}/revisions", "opened_on" => 2, "page" => "mine",
                                                            "change" => { "kind" => "client", "name" => "Three" })
      assert_equal 201, status, "one's own page has nothing against itself"
    end

    # A link that took the main job away goes too, or the next change of anything would do it again.
    def test_a_link_that_caused_it_is_taken_back_too
      second = MOUSE["devices"].first.merge("id" => "second", "name" => "Second mouse")
      add_client(MOUSE.merge("devices" => MOUSE["devices"] + [second]))
      change(SWAP)
      press("mouse/right")
      change({ "kind" => "copy", "from" => "mouse", "to" => "second", "mirror" => false, "lasting" => true }, parent: 2)
      assert_equal([["Second mouse, Left button"]], [pending["lost"].map { |one| one["name"] }])
      run_out
      assert_nil pending
      assert_empty ask("/api/clients/#{@client}/devices")["links"]
      change({ "kind" => "client", "name" => "Ottoline" }, parent: 4)
      assert_empty(ask("/api/clients/#{@client}/fitting")["assignments"].select { |item| item["button"].start_with?("second/") })
    end

    def test_a_press_confirms_as_a_joined_device_and_a_stand_in_hand_send_it
      listener = send_json(:post, "/api/clients/#{@client}/listeners", "name" => "Here")["id"]
      raw = send_json(:post, "/api/listeners/#{listener}/streams", { "raw" => true })["id"]
      swap
      send_json(:post, "/api/streams/#{raw}/messages",
                "messages" => [{ "number" => 1, "t_us" => 0, "source" => "pointer:2", "kind" => "down" }])
      assert_nil pending, answer
      send_json(:post, "/api/clients/#{@client}/steps", "step" => "undo", "revision" => 2)
      assert_equal(["mouse/left"], pending["buttons"].map { |one| one["ref"] })
      hand = ask("/api/clients/#{@client}/hands")["hands"].first["id"]
      send_json(:post, "/api/clients/#{@client}/hands/presses", "hand" => hand, "button" => "mouse/left", "script" => ["tap"],
                                                                "seed" => 1)
      assert_equal 201, status, answer
      assert_nil pending
    end

    # Switched off is another way to lose it.
    def test_a_button_that_was_switched_off_is_on_again
      change({ "kind" => "assign", "button" => "mouse/back", "gesture" => "tap",
               "action" => { "kind" => "click", "button" => "left" } })
      change({ "kind" => "button", "button" => "mouse/left", "set" => { "off" => true } }, parent: 2)
      assert_equal([["mouse/left"], ["mouse/back"]], %w[lost buttons].map { |which| pending[which].map { |one| one["ref"] } })
      run_out
      assert_nil pending
      assert_equal 4, desk["revision"]["number"]
      buttons = ask("/api/clients/#{@client}/devices")["devices"].flat_map { |device| device["buttons"] }
      refute(buttons.find { |one| one["ref"] == "mouse/left" }["off"])
    end

    def test_not_confirmed_it_is_taken_back_and_what_others_did_since_stays
      swap
      change({ "kind" => "assign", "button" => "mouse/back", "gesture" => "tap", "action" => { "kind" => "help" } }, parent: 2)
      refute_nil pending, "another change meanwhile does not confirm it"
      run_out
      assert_equal [false, 4, "Kippen", "Revision 2 taken back: nobody confirmed it"],
                   [swapped?, *desk["revision"].values_at("number", "author", "note")]
      assert(ask("/api/clients/#{@client}/fitting")["assignments"].any? { |item| item["button"] == "mouse/back" })
      assert_nil pending
    end

    def test_it_is_taken_back_at_once_when_asked
      swap
      confirm("take_back" => true)
      assert_equal ["taken_back", false, 3, "A specialist"],
                   [answer["state"], swapped?, *desk["revision"].values_at("number", "author")]
      confirm("take_back" => true)
      assert_equal "nothing", answer["state"]
    end

    def test_undo_leaves_nothing_to_confirm
      swap
      send_json(:post, "/api/clients/#{@client}/steps", "step" => "undo", "revision" => 2)
      assert_nil pending
      run_out
      assert_equal 3, desk["revision"]["number"]
    end

    def test_a_change_that_leaves_the_job_where_it_is_needs_no_confirming
      change({ "kind" => "assign", "button" => "mouse/left", "gesture" => "long_press", "action" => { "kind" => "help" } })
      assert_nil pending
      change({ "kind" => "take_out", "id" => "mouse" }, parent: 2)
      assert_nil pending
    end

    def test_how_long_one_has_is_within_bounds
      swap(confirm_s: 1)
      assert_problem 400
    end
  end
end
