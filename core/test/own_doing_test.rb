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

    def kept(*assignments)
      list = assignments.map { |gesture, action| { "button" => LEFT, "gesture" => gesture, "action" => action } }
      fitting = amended(add(bare, "mouse-five", host: "desk"), "assignments" => list)
      choice = fitting.resolver.choice(fitting.button(LEFT), "base", fitting.resolver.spot(""))
      OwnDoing.of(KINDS.button(fitting.device("mouse-with-five-buttons"), fitting.button(LEFT)), choice).to_h { |one| [one.words, one.kept] }.values
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

    def test_it_is_told_as_lost_with_the_remedy
      before = add(bare, "mouse-five", host: "desk")
      told = lambda do |gesture|
        made = result(before, "assign", button: LEFT, gesture:, action: HELP)
        made.consequences.displaced(LEFT, place: "everywhere", mode: "base").map { |one| [one.kind, one.words] }
      end
      drag = ["own_lost", "“Drag” no longer comes about on this button: give “Keep pressed until the next press” or “Pressed as long as held” to another one."]
      double = ["own_lost", "“Double-click” no longer comes about on this button: give “Double-click as one press” to another one."]
      assert_equal [[drag], [double, drag]], [told.call("long_press"), told.call("double_tap")]
      names = CATALOGUE.entries.map(&:name)
      [drag, double].flat_map { |_, words| words.scan(/“([^”]+)”/).flatten.drop(1) }.each { |name| assert_includes names, name }
    end
  end
end
