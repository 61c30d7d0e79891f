# frozen_string_literal: true

require_relative "kinds_data"

module Kippen
  # A mouse button's own double-click and dragging: kept where presses are passed through, lost and told
  # elsewhere. That a host makes them of the clicks it gets: common practice, and W3C UI Events (dblclick).
  class OwnDoingTest < CoreTest
    include KindsData

    LEFT = "mouse-with-five-buttons/left"
    HELP = { "kind" => "help" }.freeze
    BUILTIN = { "kind" => "builtin" }.freeze

    def mouse(ms = nil)
      hosts = [HOSTS.first.merge({ "double_click_ms" => ms }.compact)]
      add(bare("hosts" => hosts), "mouse-five", host: "desk")
    end

    def doings(fitting) = OwnDoing.on(fitting, KINDS, Press::Lane.new(fitting, fitting.button(LEFT)))

    def kept(*assignments)
      list = assignments.map { |gesture, action| { "button" => LEFT, "gesture" => gesture, "action" => action } }
      doings(amended(mouse, "assignments" => list)).map(&:kept)
    end

    # Double-click and drag under a timing: "kept", "hardly" or "lost".
    def states(ms, timing, assignments = [])
      list = assignments.map { |gesture, action| { "button" => LEFT, "gesture" => gesture, "action" => action } }
      doings(amended(mouse(ms), "assignments" => list, "timing" => timing)).map do |one|
        one.lost ? "lost" : (one.hardly && "hardly") || "kept"
      end
    end

    # double-click, drag
    def test_what_still_comes_about
      { [] => [true, true], [["hold", BUILTIN]] => [true, true], [["tap", BUILTIN], ["long_press", HELP]] => [true, false],
        [["tap", BUILTIN], ["double_tap", HELP]] => [false, false], [["tap", HELP]] => [false, false],
        [["tap", BUILTIN], ["hold", { "kind" => "click", "button" => "left", "how" => "held" }]] => [true, true],
        [["tap", BUILTIN], ["double_tap", HELP], ["hold", BUILTIN]] => [false, true], [["hold", HELP]] => [false, false],
        [["tap", { "kind" => "click", "button" => "left", "times" => 2 }]] => [false, false] }.each do |assignments, expected|
        assert_equal expected, kept(*assignments), assignments
      end
    end

    # A guard as long as the host's time leaves none for a second click, whatever counts it; 100 ms of room and more is enough.
    def test_a_filter_takes_the_double_click_whatever_holds_it_back
      guard = ->(ms, from = "press") { { "bounce_guard_ms" => ms, "bounce_guard_from" => from } }
      counted = [["tap", BUILTIN], ["hold", { "kind" => "click", "button" => "left", "how" => "held" }]]
      { [500, {}] => "kept", [500, guard[300]] => "kept", [500, guard[390]] => "kept", [500, guard[420]] => "hardly",
        [500, guard[500]] => "lost",
        [500, guard[1000]] => "lost", [500, guard[300, "release"]] => "kept", [500, guard[400, "release"]] => "hardly",
        [500, guard[470, "release"]] => "lost",
        [100, {}] => "hardly", [100, guard[100]] => "lost", [100, guard[150]] => "lost", [100, guard[1000]] => "lost",
        [1500, guard[1000]] => "kept",
        [500, { "gap_bridge_ms" => 450 }] => "hardly", [500, { "gap_bridge_ms" => 500 }] => "lost",
        [500, { "brush_guard_ms" => 250 }] => "lost" }
        .each do |(ms, timing), expected|
        assert_equal expected, states(ms, timing).first, "#{ms} ms, #{timing}"
      end
      assert_equal(%w[kept lost], [300, 1000].map { |ms| states(500, guard[ms], counted).first }, "where Kippen counts, the same")
    end

    def test_a_guard_takes_what_is_held_after_a_drop_out_for_a_bounce
      from = ->(where, bridge) { { "bounce_guard_ms" => 100, "bounce_guard_from" => where, "gap_bridge_ms" => bridge } }
      assert_equal(%w[kept kept hardly kept],
                   [{}, from["press", 0], from["release", 0], from["release", 40]].map { |timing| states(500, timing).last })
    end

    # Whatever brings it about: the guard itself, the host's time, a gesture; with where to begin.
    def test_it_is_told_wherever_it_comes_about
      slow = result(mouse(500), "timing", button: LEFT, setting: "bounce_guard_ms", value: 500).consequences
      words = "“Double-click” no longer comes about on this button: bounce guard 500 ms and the 500 ms of Computer leave no " \
              "time for a second click. " \
              "Set the host's double-click time first, then the guard; or give “Double-click as one press” to another one."
      assert_includes slow.displaced(LEFT, place: "everywhere", mode: "base").map(&:what), words
      assert_empty slow.own_lost_elsewhere([Changes::Spot.new(LEFT, "everywhere", "base")]), "it is told of the button already"
      guarded = made(mouse(1000), "timing", button: LEFT, setting: "bounce_guard_ms", value: 300)
      changed = result(guarded, "host", host: { "id" => "desk", "double_click_ms" => 300 })
      told = changed.consequences.own_lost_elsewhere(changed.spots)
      assert_equal 1, told.size
      lost = "Mouse with five buttons, Left button: “Double-click” no longer comes about on this button: bounce guard 300 ms"
      assert_operator told.first, :start_with?, lost
      better = result(changed.fitting, "host", host: { "id" => "desk", "double_click_ms" => 1000 })
      assert_empty better.consequences.own_lost_elsewhere(better.spots)
    end

    def test_it_is_told_as_lost_with_the_remedy
      before = mouse
      told = lambda do |gesture|
        made = result(before, "assign", button: LEFT, gesture:, action: HELP)
        made.consequences.displaced(LEFT, place: "everywhere", mode: "base").map { |one| [one.id, one.what] }
      end
      drag = ["own_lost", "“Drag” no longer comes about on this button: give “Keep pressed until the next press” or “Pressed " \
                          "as long as held” to another one."]
      double = ["own_lost", "“Double-click” no longer comes about on this button: give “Double-click as one press” to another " \
                            "one."]
      assert_equal [[drag], [double, drag]], [told.call("long_press"), told.call("double_tap")]
      names = CATALOGUE.entries.map(&:name)
      [drag, double].flat_map { |_, words| words.scan(/“([^”]+)”/).flatten.drop(1) }.each { |name| assert_includes names, name }
    end
  end
end
