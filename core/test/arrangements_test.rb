# frozen_string_literal: true

require_relative "kinds_data"

module Kippen
  # Several assignments at once: ready-made, and a client's own.
  class ArrangementsTest < CoreTest
    include KindsData

    NEXT = { "kind" => "app", "app" => "rookery", "command" => "next-page" }.freeze
    HELP = { "kind" => "help" }.freeze

    def apply(fitting, id, device, **answers)
      result(fitting, "arrange", arrangement: id, device:, answers: answers.transform_keys(&:to_s))
    end

    def jobs(applied)
      applied.fitting.assignments.map { |one| [one.button.split("/").last, one.gesture, CATALOGUE.name(one.action)] }
    end

    def mouse = add(bare, "mouse-five", host: "desk")

    def test_a_mouse_for_the_left_hand
      applied = apply(mouse, "left-handed-mouse", "mouse-with-five-buttons")
      assert_equal [["left", "tap", "Right click"], %w[right tap Click]], jobs(applied)
      assert_empty applied.left_out
      assert_match(/side buttons are then on the wrong side/, applied.notes.join)
      assert_equal %w[mouse-with-five-buttons/left mouse-with-five-buttons/right], applied.spots.map(&:button)
    end

    def test_one_button_with_three_jobs_keeps_its_tap
      applied = apply(add(bare, "switch", host: "desk"), "three-jobs", "single-switch", button: "press", double_tap: NEXT,
                                                                                        long_press: HELP)
      assert_equal [["press", "tap", "What it does by itself"], ["press", "double_tap", "Next page"],
                    ["press", "long_press", "Ask for help"]], jobs(applied)
    end

    def test_what_must_be_chosen_first_is_told
      assert_equal([["/change/answers/double_tap", "must be chosen first"],
                    ["/change/answers/long_press", "must be chosen first"]],
                   faults { apply(mouse, "three-jobs", "mouse-with-five-buttons", button: "back") })
    end

    def test_a_pen_as_a_mouse
      fitting = add(bare("hosts" => [{ "id" => "t", "system" => "tablet" }]), "pen")
      applied = apply(fitting, "pen-three-buttons", fitting.devices.last.id)
      assert_equal [["side-lower", "tap", "Right click"], ["side-upper", "tap", "Middle click"]], jobs(applied)
    end

    def test_double_click_on_a_spare_button
      assert_equal [["back", "tap", "Double-click as one press"]],
                   jobs(apply(mouse, "double-click-spare", "mouse-with-five-buttons", button: "back"))
    end

    # What a client had on a mouse, put on a remote: by role where the kinds differ.
    def test_their_own_one_fits_in_part_and_says_what_does_not
      with = [["back", "tap", HELP], ["back", "hold", NEXT], ["middle", "tap", NEXT],
              ["right", "long_press", HELP]].reduce(mouse) do |so_far, (id, gesture, action)|
        made(so_far, "assign", button: "mouse-with-five-buttons/#{id}", gesture:, action:)
      end
      saved = add(made(with, "save_arrangement", device: "mouse-with-five-buttons", name: "Reading"), "remote", host: "tv")
      applied = apply(saved, "own-reading", "television-remote")
      on_remote = applied.fitting.assignments.select { |one| one.button.start_with?("television") }
      assert_equal([["television-remote/back", "tap", HELP]], on_remote.map { |one| [one.button, one.gesture, one.action] })
      assert_includes applied.left_out,
                      "Back side button, hold, Next page: Television remote can’t carry a hold here; “Next page” does not " \
                      "exist on a television."
      assert_equal 4, applied.left_out.size
      assert_includes applied.left_out, "Wheel pressed, tap, Next page: Television remote has no such button."
    end

    def test_their_own_ones_are_kept_known_by_name_and_removed
      with = made(mouse, "assign", button: "mouse-with-five-buttons/back", gesture: "tap", action: HELP)
      twice = 2.times.reduce(with) do |fitting, _|
        made(fitting, "save_arrangement", device: "mouse-with-five-buttons", name: "Reading")
      end
      assert_equal(%w[own-reading own-reading-2], twice.list("arrangements").map { |one| one["id"] })
      again = apply(twice, "own-reading", "mouse-with-five-buttons")
      assert_equal with.list("assignments"), again.fitting.list("assignments")
      assert_empty made(made(twice, "remove_arrangement", id: "own-reading"), "remove_arrangement",
                        id: "own-reading-2").list("arrangements")
      assert_equal([["/change/arrangement", 'no arrangement "left-handed-mouse" of this client']], faults do
        made(twice, "remove_arrangement", id: "left-handed-mouse")
      end)
      assert_equal([["/change/device", "nothing is assigned on Mouse with five buttons"]],
                   faults { made(mouse, "save_arrangement", device: "mouse-with-five-buttons", name: "Empty") })
    end

    def test_what_was_off_is_off_again
      with = made(mouse, "assign", button: "mouse-with-five-buttons/back", gesture: "tap", action: HELP)
      off = made(with, "switch", button: "mouse-with-five-buttons/back", gesture: "tap", off: true)
      saved = made(off, "save_arrangement", device: "mouse-with-five-buttons", name: "Reading")
      bare = made(saved, "reset", device: "mouse-with-five-buttons")
      assert_equal [true], apply(bare, "own-reading", "mouse-with-five-buttons").fitting.assignments.map(&:off)
    end

    def test_where_nothing_fits_it_is_refused_with_the_reasons
      keys = add(bare, "head-switch", host: "desk")
      expected = ["secondary, tap, Right click: Head switch has no such button.",
                  "middle, tap, Middle click: Head switch has no such button."]
      assert_equal(expected, faults { apply(keys, "pen-three-buttons", "head-switch") }.map(&:last))
    end

    # Whatever else a file says of a client's own one is not looked at.
    def test_their_own_ones_from_a_file_say_nothing_but_their_parts
      own = [{ "id" => "own-empty", "name" => "Empty" },
             { "id" => "own-odd", "name" => "Odd", "asks" => 5, "notes" => { "a" => 1 }, "kinds" => "mouse",
               "parts" => [{ "button" => "back", "name" => 7, "role" => ["back"], "gesture" => "tap", "action" => HELP,
                             "repeat" => "often" },
                           { "name" => "Back side button", "gesture" => "tap", "action" => HELP, "place" => "nowhere" }] }]
      fitting = amended(mouse, "arrangements" => own)
      assert_equal([["/change/arrangement", "Empty has nothing in it"]],
                   faults { apply(fitting, "own-empty", "mouse-with-five-buttons") })
      odd = ARRANGEMENTS.find(fitting, "own-odd")
      assert odd.for?(fitting.devices.first, fitting.host("desk"))
      refused = faults { apply(fitting, "own-odd", "mouse-with-five-buttons") }.map(&:last)
      assert_equal ["7, tap, Ask for help: Mouse with five buttons has no such button.",
                    "Back side button, tap, Ask for help: its place is not there any more."], refused
    end

    def test_every_ready_made_one_fits_somewhere_whole
      { "left-handed-mouse" => "mouse-five", "pen-three-buttons" => "pen", "three-jobs" => "switch",
        "double-click-spare" => "mouse-five" }.each do |id, kind|
        found = ARRANGEMENTS.find(bare, id)
        system = (KINDS.find(kind).systems & found.data["systems"]).first
        fitting = add(bare("hosts" => [{ "id" => "h", "system" => system }]), kind)
        device = fitting.devices.last
        assert found.for?(device, fitting.hosts.first), id
        answers = { "button" => device.buttons.last.id, "double_tap" => HELP, "long_press" => HELP }
        answers["button"] = "press" if kind == "switch"
        assert_empty result(fitting, "arrange", arrangement: id, device: device.id, answers:).left_out, id
      end
    end
  end
end
