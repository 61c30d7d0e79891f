# frozen_string_literal: true

require_relative "../kinds_data"

module Kippen
  class TellingTest < CoreTest
    include KindsData

    PLACES = [{ "id" => "letters", "app" => "rookery" }].freeze
    NEXT_PAGE = { "kind" => "app", "app" => "rookery", "command" => "next-page" }.freeze

    def told(members, *rows)
      read = fitting(members)
      messages = rows.each_with_index.map do |(ms, kind, source, value), number|
        source ||= kind == "told" ? "" : OK
        Press::Bench::Message.new(number: number + 1, time_us: (ms * 1000).to_i, source:, kind:, value: value || "")
      end
      telling = Press::Telling.new(read, CATALOGUE)
      bench = Press::Bench.from(read)
      messages.each { |message| bench.feed(message) }
      bench.open.map { |story| telling.sentences(story).join(" ") }
    end

    def assign(gesture, **more) = assignment(gesture, **more).merge("action" => NEXT_PAGE)

    # name => [members of the fitting, rows, what is told]
    STORIES = {
      "an untouched button" => [
        ->(_) { {} }, [[0, "down"], [90, "up"]],
        "Closed for 90 ms. Nothing is assigned here: the button does what it does by itself. It did not wait."
      ],
      "drop-outs are carried across" => [
        ->(t) { { "timing" => { "gap_bridge_ms" => 20 }, "assignments" => [t.assign("tap"), t.assign("long_press")] } },
        [[0, "down"], [50, "up"], [58, "down"], [120, "up"], [131, "down"], [212, "up"], [400, "told"]],
        "Closed for 212 ms with drop-outs of 8 and 11 ms, carried across by the gap bridge. Let go before 500 ms: a tap. " \
        "Everywhere has for a tap on this button: Next page. It waited 20 ms (gap bridge)."
      ],
      "the place that had nothing is told" => [
        ->(t) { { "places" => PLACES, "assignments" => [t.assign("tap"), t.assign("double_tap", place: "letters")] } },
        [[0, "pointer_in", "", "rookery"], [10, "down"], [110, "up"], [800, "told"]],
        "Closed for 100 ms. No second press came within the tap gap: a tap. In Rookery has nothing for it. " \
        "Everywhere has for a tap on this button: Next page. It waited 300 ms (tap gap)."
      ],
      "a double-tap" => [
        ->(t) { { "assignments" => [t.assign("double_tap")] } },
        [[0, "down"], [80, "up"], [200, "down"], [260, "up"], [900, "told"]],
        "Closed for 80 ms. Pressed again 120 ms after letting go, for 60 ms. The second press makes it a double-tap; " \
        "nothing more is counted here, so it acts at once. Everywhere has for a double-tap on this button: Next page. It did " \
        "not wait."
      ],
      "a gesture that nothing is assigned to" => [
        ->(t) { { "assignments" => [t.assign("double_tap")] } }, [[0, "down"], [80, "up"], [900, "told"]],
        "Closed for 80 ms. No second press came within the tap gap: a tap. Nothing is assigned to a tap on this button. It " \
        "waited 300 ms (tap gap)."
      ],
      "what is switched off is told" => [
        ->(t) { { "places" => PLACES, "assignments" => [t.assign("tap"), t.assign("tap", place: "letters", off: true)] } },
        [[0, "pointer_in", "", "rookery"], [10, "down"], [110, "up"], [800, "told"]],
        "Closed for 100 ms. Nothing else is on this button, so the tap acts as soon as it is pressed. " \
        "In Rookery has something for it that is switched off. Everywhere has for a tap on this button: Next page. It did not " \
        "wait."
      ],
      "a wait in parts" => [
        ->(t) { { "timing" => { "gap_bridge_ms" => 20 }, "assignments" => [t.assign("tap"), t.assign("double_tap")] } },
        [[0, "down"], [100, "up"], [800, "told"]],
        "Closed for 100 ms. No second press came within the tap gap: a tap. " \
        "Everywhere has for a tap on this button: Next page. It waited 300 ms: 20 ms gap bridge and 280 ms tap gap."
      ],
      "a touch too short" => [
        ->(t) { { "timing" => { "brush_guard_ms" => 40 }, "assignments" => [t.assign("tap")] } }, [[0, "down"], [31, "up"]],
        "Closed for 31 ms. Shorter than the brush guard of 40 ms: ignored."
      ],
      "a press not decided yet" => [
        ->(t) { { "assignments" => [t.assign("long_press")] } }, [[0, "down"], [300, "told"]],
        "Closed, still down. At 500 ms it becomes long."
      ]
    }.freeze

    CALLS = [{ "id" => "calls", "name" => "Calls" }].freeze

    def test_the_mode_is_told_and_what_base_gives_it
      lock = assignment("tap").merge("button" => "remote/list",
                                     "action" => { "kind" => "mode", "mode" => "calls", "how" => "lock" })
      told = lambda do |*more|
        told({ "places" => PLACES, "modes" => CALLS, "assignments" => [lock, *more] },
             [0, "down", "remote/list"], [10, "up", "remote/list"], [20, "pointer_in", "", "rookery"], [30, "down"],
             [90, "up"]).last
      end
      assert_equal "Closed for 60 ms. Nothing else is on this button, so the tap acts as soon as it is pressed. " \
                   "Mode Calls was on until changed. It says nothing about this: what holds as usual does. In Rookery has " \
                   "nothing for it. " \
                   "Everywhere has for a tap on this button: Next page. It did not wait.",
                   told.call(assign("tap"))
      # What base has closer by is covered by the mode's own: nothing false is said of that place.
      assert_equal "Closed for 60 ms. Nothing else is on this button, so the tap acts as soon as it is pressed. Mode Calls was " \
                   "on until changed. " \
                   "Everywhere has for a tap on this button: Next page. It did not wait.",
                   told.call(assign("tap", place: "letters"), assign("tap", mode: "calls"))
    end

    def test_a_wheel_step_is_a_step
      read = { "assignments" => [assign("tap").merge("button" => "remote/wheel-up")] }
      assert_equal ["One step of the wheel. Everywhere has for a tap on this button: Next page. It did not wait."],
                   told(read, [0, "notch", "remote/wheel-up"])
    end

    STORIES.each do |name, (members, rows, expected)|
      define_method("test_#{name}") { assert_equal [expected], told(members.call(self), *rows) }
    end

    def test_a_press_just_short_of_the_boundary_does_not_read_as_on_it
      assert_match(/\AClosed for 499 ms\. Let go before 500 ms: a tap\./,
                   told({ "assignments" => [assign("tap"), assign("long_press")] }, [0, "down"], [499.9, "up"],
                        [900, "told"]).first)
    end

    def test_a_bounce_is_a_story_of_its_own
      members = { "timing" => { "bounce_guard_ms" => 50 }, "assignments" => [assign("tap")] }
      assert_equal ["Closed for 20 ms. Nothing else is on this button, so the tap acts as soon as it is pressed. " \
                    "Everywhere has for a tap on this button: Next page. It did not wait.",
                    "Closed for 10 ms. Came 30 ms after the one before; the bounce guard is 50 ms: ignored."],
                   told(members, [0, "down"], [20, "up"], [30, "down"], [40, "up"])
    end

    def test_one_press_too_many_is_told_with_the_burst_it_belongs_to
      told = told({ "assignments" => [assign("tap"), assign("double_tap")] },
                  [0, "down"], [50, "up"], [100, "down"], [150, "up"], [200, "down"], [250, "up"], [900, "told"])
      assert_equal 1, told.size
      assert_match(/Pressed again 50 ms after letting go, for 50 ms\. The second press /, told.first)
      assert_match(/ One press more than this button counts: ignored\.\z/, told.first)
    end
  end
end
