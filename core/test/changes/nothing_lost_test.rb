# frozen_string_literal: true

require_relative "../kinds_data"

module Kippen
  # A change does what it was asked to and carries everything else along.
  class NothingLostTest < CoreTest
    include KindsData

    HELP = { "kind" => "help" }.freeze
    NEXT = { "kind" => "app", "app" => "rookery", "command" => "next-page" }.freeze
    PLACES = [{ "id" => "letters", "app" => "rookery" }].freeze
    BACK = "mouse-with-five-buttons/back"
    FORWARD = "mouse-with-five-buttons/forward"

    def mouse(*assignments, **members)
      amended(add(bare("places" => PLACES), "mouse-five", host: "desk"),
              { "assignments" => assignments, **members.transform_keys(&:to_s) })
    end

    def on(button, gesture, action, **more)
      { "button" => button, "gesture" => gesture, "action" => action, **more.transform_keys(&:to_s) }
    end

    def carry(fitting, to, gesture, copy: false, from: "tap")
      made(fitting, "carry", button: BACK, gesture: from, to: { "button" => to, "gesture" => gesture }, copy:)
    end

    def assign(fitting, gesture, action = HELP, button: BACK, **more)
      made(fitting, "assign", button:, gesture:, action:, **more)
    end

    def list(fitting) = fitting.list("assignments")

    def test_carried_it_stays_off_at_once_and_as_it_was_written
      whole = on(BACK, "tap", NEXT, at_once: true, off: true, shelf: nil)
      assert_equal [whole.merge("button" => FORWARD)], list(carry(mouse(whole), FORWARD, "tap"))
      assert_equal [whole.except("at_once").merge("button" => FORWARD, "gesture" => "double_tap")],
                   list(carry(mouse(whole), FORWARD, "double_tap")).last(1), "only a tap can act at once"
    end

    def test_assigned_anew_it_keeps_what_else_was_written_and_is_in_force
      before = mouse(on(BACK, "tap", NEXT, at_once: true, off: true, shelf: 1))
      assert_equal [on(BACK, "tap", HELP, at_once: true, shelf: 1)], list(assign(before, "tap"))
    end

    def test_carried_onto_a_built_in_that_can_not_be_held_back_it_is_as_if_assigned_there
      remote = add(bare, "remote", host: "tv")
      ok, branded = %w[ok branded-one].map { |id| "television-remote/#{id}" }
      from = made(remote, "assign", button: ok, gesture: "long_press", action: HELP)
      carried = made(from, "carry", button: ok, gesture: "long_press", to: { "button" => branded, "gesture" => "long_press" },
                                    copy: false)
      assigned = made(remote, "assign", button: branded, gesture: "long_press", action: HELP)
      assert_equal list(assigned), list(carried)
    end

    def test_a_deliberate_built_in_in_an_app_outlives_what_stood_beside_it
      before = mouse(on(BACK, "tap", NEXT), on(BACK, "tap", { "kind" => "builtin" }, place: "letters"),
                     on(BACK, "long_press", HELP, place: "letters"))
      after = made(before, "clear", button: BACK, gesture: "long_press", place: "letters")
      assert_equal list(before).first(2), list(after)
    end

    def test_what_falls_back_to_a_kept_tap_keeps_it
      before = mouse(on(BACK, "tap", { "kind" => "builtin" }), on(BACK, "double_tap", NEXT),
                     on(BACK, "long_press", HELP, place: "letters"))
      after = made(before, "clear", button: BACK, gesture: "double_tap")
      assert_equal list(before).values_at(0, 2), list(after)
    end

    # Asked while something is off, it must not be covered when that is switched on.
    def test_untouched_is_asked_as_though_everything_were_on
      [[on(BACK, "tap", NEXT), { "off" => true }], [on(BACK, "tap", NEXT, off: true), {}]].each do |assignment, of_device|
        start = mouse(assignment)
        before = amended(start, "devices" => [start.list("devices").first.merge(of_device)])
        after = assign(before, "long_press", HELP, place: "letters")
        assert_equal [assignment, on(BACK, "long_press", HELP, place: "letters").sort.to_h],
                     [list(after).first, list(after).last.sort.to_h]
        assert_equal 2, list(after).size
      end
    end

    # base in an app lies beneath another mode everywhere: what is kept there would cover it.
    def test_a_kept_tap_covers_none_that_somebody_falls_back_to
      modes = [{ "id" => "reading", "otherwise" => "base" }]
      [{}, { off: true }].each do |of_tap|
        before = mouse(on(BACK, "tap", NEXT, place: "letters", **of_tap), modes:)
        after = assign(before, "long_press", HELP, mode: "reading")
        kept = on(BACK, "tap", { "kind" => "builtin" })
        assert_includes list(after), kept
        assert_equal 3, list(after).size
      end
    end

    def test_a_button_on_a_device_that_is_off_keeps_its_tap
      start = mouse
      before = amended(start, "devices" => [start.list("devices").first.merge("off" => true)])
      assert_equal([["tap", { "kind" => "builtin" }], ["long_press", HELP]], list(assign(before, "long_press")).map do |item|
        item.values_at("gesture", "action")
      end)
    end

    def test_members_nobody_knows_stay_wherever_something_changes
      start = mouse(shelf: nil)
      marked = amended(start, "devices" => start.list("devices").map do |item|
        item.merge("shelf" => nil, "buttons" => item["buttons"].map do |one|
          one.merge("x" => nil)
        end)
      end,
                              "wants" => [{ "id" => "w", "what" => "Read", "place" => "letters", "shelf" => 3 }],
                              "client" => { "name" => "A", "age" => nil })
      changes = [["client", { name: "B" }], ["want", { want: { "id" => "w", "what" => "Write" } }],
                 ["device", { device: "mouse-with-five-buttons", set: { "posture" => "upright", "version" => nil } }],
                 ["button", { button: BACK, set: { "name" => "Rear", "print" => nil } }],
                 ["setting", { of: "device", id: "mouse-with-five-buttons", setting: "wheel_lines", value: 2 }],
                 ["ready", { device: "mouse-with-five-buttons", step: "first-press", done: true }],
                 ["device_timing", { device: "mouse-with-five-buttons", setting: "long_press_ms", value: 700 }],
                 ["fitted", { scope: "device", of: "mouse-with-five-buttons", timing: { "tap_gap_ms" => 400 } }]]
      after = changes.reduce(marked) { |fitting, (kind, given)| made(fitting, kind, **given) }
      assert_equal [true, true, { "name" => "B", "age" => nil }],
                   [after.document.key?("shelf"), after.list("devices").first.key?("shelf"), after.document["client"]]
      assert(after.list("devices").first["buttons"].all? { |one| one.key?("x") })
      assert_equal [{ "id" => "w", "what" => "Write", "shelf" => 3 }], after.list("wants"),
                   "what is said no more is gone, what nobody knows stays"
    end
  end
end
