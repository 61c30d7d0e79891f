# frozen_string_literal: true

require_relative "../kinds_data"

module Kippen
  # Wants and the main job as the resolver and the timing answer, not as lists of assignments look.
  class ReachResolvedTest < CoreTest
    include KindsData

    HELP = { "kind" => "help" }.freeze
    NEXT = { "kind" => "app", "app" => "rookery", "command" => "next-page" }.freeze
    CLICK = { "kind" => "click", "button" => "left" }.freeze
    MOUSE = "mouse-with-five-buttons"
    BACK = "#{MOUSE}/back".freeze
    LEFT = "#{MOUSE}/left".freeze

    def on(gesture, action, button: BACK, **more)
      { "button" => button, "gesture" => gesture, "action" => action, **more.transform_keys(&:to_s) }
    end

    # A want for NEXT in letters, with these assignments.
    def done?(*assignments, want: {}, action: NEXT, **members)
      members = { "places" => [{ "id" => "letters", "app" => "rookery" }],
                  "modes" => [{ "id" => "reading" }, { "id" => "still", "otherwise" => "nothing" }],
                  "wants" => [{ "id" => "w", "what" => "w", "action" => action, **want }] }.merge(members.transform_keys(&:to_s))
      fitting = amended(add(bare, "mouse-five", host: "desk"), { "assignments" => assignments, **members })
      Reach::Wants.of(fitting, KNOWLEDGE).state(fitting.wants.first) == "done"
    end

    def test_covered_in_that_app_it_is_not_done_there
      there = { "place" => "letters" }
      assert done?(on("tap", NEXT), want: there)
      refute done?(on("tap", NEXT), on("tap", HELP, place: "letters"), want: there)
      assert done?(on("tap", NEXT), on("tap", HELP, place: "letters", off: true), want: there)
    end

    def test_a_mode_that_nobody_can_enter_does_nothing
      in_reading = on("tap", NEXT, mode: "reading")
      enter = lambda { |how, gesture = "tap", **more|
        on(gesture, { "kind" => "mode", "mode" => "reading", "how" => how }, button: "#{MOUSE}/forward", **more)
      }
      refute done?(in_reading)
      %w[latch lock].each { |how| assert done?(in_reading, enter.call(how)) }
      assert done?(in_reading, enter.call("held", "hold"))
      refute done?(in_reading, enter.call("lock", off: true))
      refute done?(in_reading, enter.call("lock", mode: "still")), "the way in is itself in a mode that nobody can enter"
      into_still = on("tap", { "kind" => "mode", "mode" => "still", "how" => "lock" }, button: "#{MOUSE}/middle")
      assert done?(in_reading, enter.call("lock", mode: "still"), into_still)
    end

    def test_what_the_timing_makes_impossible_is_not_done
      twice = [on("tap", HELP), on("double_tap", NEXT)]
      assert done?(*twice)
      refute done?(*twice, timing: { "bounce_guard_ms" => 300, "bounce_guard_from" => "release" })
    end

    def test_actions_that_differ_only_in_what_is_usual_are_the_same
      entry = CATALOGUE.entries.find { |one| one.asks.any? { |ask| ask.usual && ask.type == "number" } }
      ask = entry.asks.find(&:usual)
      plain = entry.asks.reject(&:usual).to_h { |one| [one.member, "x"] }.merge(entry.action)
      assert done?(on("tap", plain.merge(ask.member => ask.usual)), action: plain), entry.id
      refute done?(on("tap", plain.merge(ask.member => ask.usual + 1)), action: plain)
    end

    def test_passed_through_a_button_does_what_it_does_by_itself
      fitting = amended(add(bare, "mouse-five", host: "desk"),
                        "assignments" => [on("hold", { "kind" => "builtin" }, button: LEFT)])
      assert_equal [LEFT], Reach::MainJob.new(KNOWLEDGE).buttons(fitting, fitting.host("desk")).map(&:ref)
      assert done?(on("hold", { "kind" => "builtin" }, button: LEFT), action: CLICK)
      refute done?(on("hold", HELP, button: LEFT), action: CLICK)
    end

    def test_a_tap_that_the_timing_makes_impossible_is_no_main_job
      both = [on("tap", { "kind" => "builtin" }, button: LEFT), on("long_press", HELP, button: LEFT)]
      fitting = amended(add(bare, "mouse-five", host: "desk"), "assignments" => both,
                                                               "timing" => { "brush_guard_ms" => 600, "long_press_ms" => 500 })
      assert_empty Reach::MainJob.new(KNOWLEDGE).buttons(fitting, fitting.host("desk"))
    end

    # Louder on the television is not done by the phone's own key.
    def test_only_on_its_own_host
      louder = { "kind" => "volume", "direction" => "up" }
      hosts = [{ "id" => "tv", "system" => "television" }, { "id" => "pocket", "system" => "phone" }]
      phone = add(bare("hosts" => hosts), "phone", host: "pocket")
      wanting = lambda { |fitting|
        amended(fitting, "wants" => [{ "id" => "w", "what" => "w", "action" => louder, "hosts" => ["tv"] }])
      }
      ways = ->(fitting) { Reach::Wants.of(fitting, KNOWLEDGE).ways(fitting.wants.first).map { |way| way.button.ref } }
      assert_empty ways.call(wanting.call(phone))
      assert_equal ["television-remote/volume-up"], ways.call(wanting.call(add(phone, "remote", host: "tv")))
    end

    def test_the_lane_of_a_mode_whose_rest_does_nothing_shows_nothing
      fitting = amended(add(bare, "mouse-five", host: "desk"), "modes" => [{ "id" => "still", "otherwise" => "nothing" }])
      lane = Press::Lane.new(fitting, fitting.button(BACK), mode: "still")
      assert_equal [[], {}], [lane.chips, lane.waits]
      assert_equal([%w[long_press], %w[double_tap]], lane.empties.map { |empty| [empty.gesture] })
      assert_equal [[], []], lane.empties.map(&:costs)
    end
  end
end
