# frozen_string_literal: true

require_relative "../helper"
require_relative "generated"

module Kippen
  class LimitsOfTimingTest < CoreTest
    G = PropCheck::Generators

    def limits(timing, *gestures)
      read = fitting("timing" => timing, "assignments" => gestures.map { |gesture| assignment(gesture) })
      Press::Lane.new(read, read.button(OK)).limits.map { |one| [one.gesture, one.how, one.reasons] }
    end

    # Timing, gestures → what is told.
    TOLD = [
      [{}, %w[tap double_tap long_press], []],
      [{ "bounce_guard_ms" => 300, "bounce_guard_from" => "release" }, %w[tap double_tap],
       [["double_tap", "impossible", %w[bounce_guard]]]],
      [{ "gap_bridge_ms" => 300 }, %w[tap double_tap], [["double_tap", "impossible", %w[gap_bridge]]]],
      [{ "bounce_guard_ms" => 800 }, %w[tap double_tap long_press], [["double_tap", "impossible", %w[bounce_guard long_press]]]],
      [{ "bounce_guard_ms" => 800 }, %w[tap double_tap], [["double_tap", "hardly", %w[bounce_guard]]]],
      [{ "bounce_guard_ms" => 350 }, %w[tap double_tap], []],
      [{ "bounce_guard_ms" => 250, "bounce_guard_from" => "release" }, %w[double_tap triple_tap],
       [["double_tap", "hardly", %w[bounce_guard]], ["triple_tap", "hardly", %w[bounce_guard]]]],
      [{ "brush_guard_ms" => 500 }, %w[tap long_press], [["tap", "impossible", %w[brush_guard long_press]]]],
      [{ "brush_guard_ms" => 450 }, %w[tap long_press], [["tap", "hardly", %w[brush_guard long_press]]]],
      [{ "bounce_guard_ms" => 300, "bounce_guard_from" => "release", "gap_bridge_ms" => 20, "brush_guard_ms" => 40 },
       %w[tap double_tap long_press],
       [["double_tap", "impossible", %w[bounce_guard]]]],
      [{ "bounce_guard_ms" => 300, "bounce_guard_from" => "release", "gap_bridge_ms" => 300 }, %w[tap double_tap],
       [["double_tap", "impossible", %w[bounce_guard gap_bridge]]]],
      [{ "tap_gap_from" => "press", "bounce_guard_ms" => 300 }, %w[double_tap], [["double_tap", "impossible", %w[bounce_guard]]]],
      [{ "tap_gap_from" => "press", "tap_gap_ms" => 100, "gap_bridge_ms" => 40 }, %w[double_tap],
       [["double_tap", "hardly", %w[gap_bridge]]]],
      # Just enough: 100 ms of room, a first press of 300 ms.
      [{ "tap_gap_ms" => 300, "bounce_guard_ms" => 200, "bounce_guard_from" => "release" }, %w[double_tap], []],
      [{ "tap_gap_ms" => 300, "bounce_guard_ms" => 201, "bounce_guard_from" => "release" }, %w[double_tap],
       [["double_tap", "hardly", %w[bounce_guard]]]],
      [{ "brush_guard_ms" => 400 }, %w[tap long_press], []],
      [{ "brush_guard_ms" => 401 }, %w[tap long_press], [["tap", "hardly", %w[brush_guard long_press]]]],
      [{ "tap_gap_ms" => 400, "brush_guard_ms" => 300 }, %w[tap double_tap], []],
      [{ "tap_gap_ms" => 400, "brush_guard_ms" => 301 }, %w[tap double_tap], [["double_tap", "hardly", %w[brush_guard]]]]
    ].freeze

    def test_what_is_told
      TOLD.each { |timing, gestures, expected| assert_equal expected, limits(timing, *gestures), timing.inspect }
    end

    # Timings in which guards, bridge, tap gap and long-press time meet and cross.
    def timing
      values = [[0, 20, 100, 300], [0, 50, 100, 300, 600], [0, 50, 200, 500], [100, 200, 500], [50, 100, 300]]
      names = %w[gap_bridge_ms bounce_guard_ms brush_guard_ms long_press_ms tap_gap_ms bounce_guard_from tap_gap_from]
      from = [%w[press release]] * 2
      G.tuple(G.tuple(*(values + from).map { |list| Generated.pick(list) }), G.boolean).map do |set, has_long|
        [names.zip(set).to_h, has_long]
      end
    end

    def double?(fitting, held_us, apart_us, brush_us)
      second = held_us + apart_us
      rows = [[0, "down"], [held_us, "up"], [second, "down"], [second + brush_us + 1, "up"]].map do |time, kind|
        [time, [kind.to_sym, 0, nil]]
      end
      Press::Replay.run(fitting, [*rows, [9_000_000, [:end, nil, nil]]]).any? do |row|
        row.gesture == "double_tap" && row.phase == "fire"
      end
    end

    # What is called possible is done by a press of the lengths told; what is called impossible
    # is not done by any of many.
    def test_replayed_presses_agree
      PropCheck.forall(timing).with_config(n_runs: 200) do |settings, has_long|
        gestures = ["tap", "double_tap", *("long_press" if has_long)]
        read = fitting("timing" => settings, "assignments" => gestures.map { |gesture| assignment(gesture) })
        button = read.button(OK)
        lane = Press::Lane.new(read, button)
        brush = lane.timing.brush_guard_us
        limit = Press::LimitsOfTiming.new(lane.choice, lane.timing)
        range = limit.held_range

        if range
          [range[0], range[1] || (range[0] + 700_000)].each do |held|
            soonest = limit.soonest_us(held)
            assert double?(read, held, soonest, brush), "held #{held}, apart #{soonest}: #{settings}"
            if limit.latest_us(held) > soonest
              assert double?(read, held, limit.latest_us(held) - 1, brush), "held #{held}, at the last moment: #{settings}"
            end
            if limit.latest_us(held).positive?
              refute double?(read, held, limit.latest_us(held), brush), "held #{held}, too late: #{settings}"
            end
          end
        else
          [1, 40, 99, 100, 150, 250, 400, 499, 700].product([1, 19, 20, 60, 110, 150, 250, 299, 300, 500]) do |held, apart|
            refute double?(read, held * 1000, apart * 1000, brush), "held #{held}, apart #{apart}: #{settings}"
          end
        end
      end
    end

    # The waits told are those of replayed presses, for every timing.
    def test_waits_told_are_waits_replayed
      PropCheck.forall(timing).with_config(n_runs: 200) do |settings, has_long|
        gestures = ["tap", "double_tap", *("long_press" if has_long)]
        read = fitting("timing" => settings, "assignments" => gestures.map { |gesture| assignment(gesture) })
        lane = Press::Lane.new(read, read.button(OK))
        held = [lane.timing.brush_guard_us, 1].max
        next if has_long && held >= lane.timing.long_press_us

        tap = Press::Replay.run(read, [[0, [:down, 0, nil]], [held, [:up, 0, nil]], [9_000_000, [:end, nil, nil]]]).find do |row|
          row.gesture == "tap"
        end
        wait = lane.waits.fetch("tap")
        expected = wait.after == "press" ? [wait.us, held + lane.timing.gap_bridge_us].max : held + wait.us
        assert_equal expected, tap.at_us, settings
      end
    end
  end
end
