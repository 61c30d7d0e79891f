# frozen_string_literal: true

require_relative "kinds_data"

module Kippen
  # What a change displaces, whom it serves, and whether the main job goes elsewhere.
  class ConsequencesTest < CoreTest
    include KindsData

    MOUSE = "mouse-with-five-buttons"
    LEFT = "#{MOUSE}/left".freeze
    RIGHT = "#{MOUSE}/right".freeze
    CLICK = { "kind" => "click", "button" => "left" }.freeze
    MENU = { "kind" => "click", "button" => "right" }.freeze
    NEXT = { "kind" => "app", "app" => "rookery", "command" => "next-page" }.freeze
    HELP = { "kind" => "help" }.freeze

    def mouse
      bare("places" => [{ "id" => "letters", "app" => "rookery", "name" => "Letters" }]).then do |fitting|
        add(fitting, "mouse-five", host: "desk")
      end
    end

    def put(fitting, button, gesture, action, place: "everywhere", mode: "base")
      made(fitting, "assign", button:, gesture:, action:, place:, mode:)
    end

    def displaced(before, after, button = RIGHT, place: "everywhere")
      Consequences.new(before, after, KNOWLEDGE).displaced(button, place:, mode: "base").map { |one| [one.id, one.what] }
    end

    def test_what_is_built_in_is_lost_with_the_tap_and_kept_beside_a_long_press
      assert_equal [["builtin_lost", "“Context menu” no longer happens on a tap: it must be had from another button."]],
                   displaced(mouse, put(mouse, RIGHT, "tap", NEXT))
      assert_empty displaced(mouse, put(mouse, RIGHT, "long_press", NEXT))
    end

    # Elsewhere it is as before; and what is put on again is not lost.
    def test_what_is_built_in_is_lost_where_it_is_and_no_further
      with = made(mouse, "mode", mode: { "name" => "Reading" })
      mode = with.modes.first.id
      there = lambda { |after, **at|
        Consequences.new(with, after, KNOWLEDGE).displaced(RIGHT, place: "everywhere", mode: "base", **at).map(&:what)
      }
      assert_equal ["“Context menu” does not happen on a tap in Letters; everywhere else it does."],
                   there[put(with, RIGHT, "tap", NEXT, place: "letters"), place: "letters"]
      assert_equal ["“Context menu” does not happen on a tap in Letters while “Reading” is on; everywhere else it does."],
                   there[put(with, RIGHT, "tap", NEXT, place: "letters", mode:), place: "letters", mode:]
      assert_empty there[put(with, RIGHT, "tap", MENU)]
      assert_match(/\AIn Letters: “Double-click” no longer comes about/,
                   Consequences.new(with, put(with, LEFT, "double_tap", NEXT, place: "letters"), KNOWLEDGE)
                     .displaced(LEFT, place: "letters", mode: "base").first.what)
    end

    def test_what_is_replaced_and_taken_off
      before = put(mouse, RIGHT, "long_press", NEXT)
      assert_equal [["replaced", "It takes the place of “Next page” on the long-press."]],
                   displaced(before, put(before, RIGHT, "hold", HELP))
      assert_empty displaced(before, put(before, RIGHT, "long_press", NEXT))
      assert_equal [["taken_off", "“Next page” is no longer on the long-press."]],
                   displaced(before, made(before, "clear", button: RIGHT, gesture: "long_press"))
    end

    def test_what_is_inherited_is_covered
      before = put(mouse, RIGHT, "long_press", NEXT)
      assert_equal [["covered", "Here it covers “Next page” from every app."]],
                   displaced(before, put(before, RIGHT, "long_press", HELP, place: "letters"), place: "letters")
    end

    def test_a_print_is_pointed_out_once
      phone = add(bare("hosts" => [{ "id" => "p", "system" => "phone" }]), "phone")
      up = "phone/volume-up"
      made = put(phone, up, "tap", HELP)
      assert_equal %w[builtin_lost other_print], displaced(phone, made, up).map(&:first)
      assert_equal %w[replaced], displaced(made, put(made, up, "tap", NEXT), up).map(&:first)
    end

    def test_wants_that_are_served_and_no_longer
      wants = [{ "id" => "a", "what" => "Turn the page", "action" => NEXT, "wrong" => "nothing", "importance" => "must" },
               { "id" => "b", "what" => "Call for help", "action" => HELP, "wrong" => "serious", "importance" => "must" }]
      before = amended(put(mouse, RIGHT, "tap", HELP), "wants" => wants)
      after = put(before, RIGHT, "tap", NEXT)
      assert_equal [["Turn the page"], ["Call for help"]], Consequences.new(before, after, KNOWLEDGE).wants
    end

    def moved(before, after)
      Reach::MainJob.new(KNOWLEDGE).moved(before, after).map { |one| [one.host.id, one.lost.map(&:ref), one.now.map(&:ref)] }
    end

    def test_the_main_job_goes_from_one_button_to_another
      before = mouse
      after = put(put(before, LEFT, "tap", MENU), RIGHT, "tap", CLICK)
      assert_equal [["desk", [LEFT], [RIGHT]]], moved(before, after)
      assert_equal [["desk", [RIGHT], [LEFT]]], moved(after, before)
      assert_equal [["desk", [LEFT], []]], moved(before, put(before, LEFT, "tap", HELP))
    end

    # A tap that is switched off beside something else does nothing.
    def test_the_main_job_goes_with_its_tap
      before = put(mouse, LEFT, "long_press", HELP)
      assert_equal [["desk", [LEFT], []]], moved(before, made(before, "switch", button: LEFT, gesture: "tap", off: true))
      assert_empty moved(before, made(before, "switch", button: LEFT, gesture: "long_press", off: true))
    end

    def test_the_main_job_stays_where_its_button_only_gets_more_to_do
      before = mouse
      assert_empty moved(before, put(before, LEFT, "long_press", HELP))
      assert_empty moved(before, put(before, RIGHT, "tap", CLICK))
      assert_empty moved(before, put(before, LEFT, "tap", HELP, place: "letters"))
    end

    def test_a_device_that_goes_to_another_host_is_not_asked_after
      two = mouse.then do |fitting|
        amended(fitting, "hosts" => fitting.list("hosts") + [{ "id" => "spare", "system" => "computer" }])
      end
      both = add(two, "mouse-five", host: "desk")
      assert_empty moved(both, made(both, "device", device: MOUSE, set: { "host" => "spare" }))
    end

    def test_on_a_television_one_confirms_with_ok
      before = add(bare, "remote", host: "tv")
      assert_equal [["tv", ["television-remote/ok"], []]], moved(before, put(before, "television-remote/ok", "tap", HELP))
    end
  end
end
