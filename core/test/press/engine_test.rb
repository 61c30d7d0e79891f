# frozen_string_literal: true

require_relative "../helper"

module Kippen
  class EngineTest < CoreTest
    def three_jobs(timing = {})
      fitting("timing" => timing, "assignments" => %w[tap double_tap long_press].map { |gesture| assignment(gesture) })
    end

    def gestures(rows) = rows.map { |outcome| [outcome["gesture"] || outcome["reason"], outcome["at_us"] / 1000.0] }

    # How long it is held around a 500 ms long-press → what it becomes, and when.
    AROUND = { 499 => ["tap", 799.0], 499.999 => ["tap", 799.999], 500 => ["long_press", 500.0],
               501 => ["long_press", 500.0] }.freeze

    def test_around_the_boundary
      AROUND.each do |held, expected|
        assert_equal [expected], gestures(replay(three_jobs, [0, "down"], [held, "up"], [3000, "end"])), "held #{held} ms"
      end
    end

    def test_the_slow_hand_at_900_ms
      rows = [[0, "down"], [700, "up"], [3000, "end"]]
      assert_equal [["long_press", 500.0]], gestures(replay(three_jobs, *rows))
      assert_equal [["tap", 1000.0]], gestures(replay(three_jobs("long_press_ms" => 900), *rows))
    end

    def test_fed_event_by_event_with_ticks_between_it_says_the_same
      engine = Press::Engine.new(three_jobs)
      engine.down(0, 0)
      [100, 250_000, 250_000].each { |time| engine.tell(time) }
      engine.up(300_000, 0)
      assert_equal 600_000, engine.next_us
      (300_000..700_000).step(13_337) { |time| engine.tell(time) }

      assert_equal replay(three_jobs, [0, "down"], [300, "up"], [700, "end"]), engine.take.map(&:to_h)
      assert_nil engine.next_us
      assert_empty engine.take
    end

    def test_time_that_runs_backwards_is_refused_and_changes_nothing
      engine = Press::Engine.new(three_jobs)
      engine.down(1000, 0)
      error = assert_raises(Press::Engine::TimeRunsBackwards) { engine.tell(999) }
      assert_equal "999 µs comes after 1000 µs", error.message
      assert_equal 501_000, engine.next_us
    end

    def test_waiting_says_what_for_and_until_when
      engine = Press::Engine.new(three_jobs("gap_bridge_ms" => 20, "brush_guard_ms" => 40))
      seen = [[0, :down], [40_000, :tell], [200_000, :up], [220_000, :tell], [500_000, :tell]].map do |time, what|
        what == :tell ? engine.tell(time) : engine.public_send(what, time, 0)
        engine.waiting.map { |one| [one.for, one.due_us] }
      end
      assert_equal [[["press", 40_000]], [["long_press", 500_000]], [["release", 220_000]], [["tap_gap", 500_000]], []], seen
    end

    Timer = Struct.new(:index, :due_us, :due_kind)

    def test_the_schedule_keeps_the_order_of_time_kind_and_button
      schedule = Press::Schedule.new
      timers = Array.new(5) { |index| Timer.new(index) }
      [[20, 0], [10, 3], [10, 3], [10, 1], [5, 4]].each_with_index { |due, index| schedule.put(timers[index], *due) }
      schedule.put(timers[0], 12, 2)
      schedule.drop(timers[1])

      assert_equal([[5, 4], [10, 3], [10, 2], [12, 0]], Array.new(4) { [schedule.due_us, schedule.take.index] })
      assert_equal Press::Schedule::NEVER, schedule.due_us
    end

    # Time may leap by centuries while a button is held.
    def test_repeats_have_an_end
      repeating = fitting("assignments" => [assignment("hold", repeat: { "after_ms" => 50, "every_ms" => 10 })])
      rows = replay(repeating, [0, "down"], [Limits::LATEST_US / 1000, "up"])
      assert_equal [Limits::REPEATS, %w[start end]],
                   [rows.count { |row| row["phase"] == "repeat" }, rows.values_at(0, -1).map { |row| row["phase"] }]
    end

    # A closing that makes a decision possible makes it at that moment, also when nothing follows.
    def test_what_becomes_possible_by_an_event_happens_with_it
      held = fitting("timing" => { "gap_bridge_ms" => 50, "brush_guard_ms" => 100 }, "assignments" => [assignment("tap")])
      assert_equal [["tap", 120.0]], gestures(replay(held, [0, "down"], [90, "up"], [120, "down"]))
    end
  end
end
