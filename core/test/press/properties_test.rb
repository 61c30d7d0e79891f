# frozen_string_literal: true

require_relative "../helper"
require_relative "generated"

module Kippen
  # What holds for every fitting and every trace. Counter-examples are shrunk.
  class PropertiesTest < CoreTest
    RUNS = 150
    AFTER_US = 12_000_000

    def for_all(*generators, &) = PropCheck.forall(*generators).with_config(n_runs: RUNS, &)

    def for_all_presses(*more)
      for_all(Generated.fitting, Generated.trace, *more) do |document, trace, *rest|
        fitting = Fitting.read(document)
        events = Press::Events.new(fitting)
        rows = trace.map { |time, *fields| [time, events.read(*fields)] }
        rows << [(trace.last&.first || 0) + AFTER_US, events.read("", "end", "")]
        yield(fitting, rows, *rest)
      end
    end

    def whole(fitting, rows) = Press::Replay.run(fitting, rows).map(&:to_h)

    def test_event_by_event_with_ticks_between_is_the_same_as_the_whole
      for_all_presses(PropCheck::Generators.array(PropCheck::Generators.choose(1..400), min: 1)) do |fitting, rows, ticks|
        engine = Press::Engine.new(fitting)
        events = Press::Events.new(fitting)
        outcomes = rows.each_with_index.flat_map do |(time, event), index|
          tick = engine.now_us + (ticks[index % ticks.size] * 1000)
          engine.tell([tick, time].min)
          engine.next_us&.then { |due| engine.tell([due, time].min) }
          events.feed(engine, time, event)
          engine.take
        end
        assert_equal whole(fitting, rows), outcomes.map(&:to_h)
      end
    end

    def test_saved_and_taken_up_at_every_point_it_says_the_same
      for_all_presses do |fitting, rows|
        events = Press::Events.new(fitting)
        state = Press::Engine.new(fitting).save
        outcomes = rows.flat_map do |time, event|
          engine = Press::Engine.new(fitting).resume(JSON.parse(JSON.generate(state)))
          events.feed(engine, time, event)
          taken = engine.take
          state = engine.save
          taken
        end
        assert_equal whole(fitting, rows), outcomes.map(&:to_h)
      end
    end

    def test_times_order_and_pairs
      for_all_presses do |fitting, rows|
        outcomes = whole(fitting, rows)
        times = outcomes.map { |row| row["at_us"] }
        assert_equal times.sort, times
        assert_empty(outcomes.select { |row| row["began_us"] > row["at_us"] || (row["ended_us"] || 0) > row["at_us"] })
        # On a button nothing starts before what went on has ended; what ends had started.
        going = {}
        outcomes.each do |row|
          key = row.values_at("began_us", "gesture")
          assert_nil going[row["button"]], row if row["phase"] == "start"
          assert_equal key, going[row["button"]], row if row["phase"] == "end"
          going[row["button"]] = row["phase"] == "start" ? key : nil if %w[start end].include?(row["phase"])
        end
      end
    end

    def test_nothing_crosses_from_one_host_to_another
      for_all_presses do |fitting, rows|
        phone = fitting.buttons.select { |button| button.host == "phone" }.map(&:index)
        of_phone = lambda do |_time, (kind, target, _)|
          kind == :end || (target.is_a?(String) ? target == "phone" : phone.include?(target))
        end
        alone = whole(fitting, rows.select { |row| of_phone.call(*row) })
        together = whole(fitting, rows).select { |row| row["button"].start_with?("e/") }
        assert_equal alone, together
      end
    end

    # In a process of its own, with nothing but the saved text between them.
    def test_another_process_takes_up_where_this_one_stopped
      fitting = Fitting.read(document("assignments" => %w[tap double_tap long_press].map { |gesture| assignment(gesture) }))
      engine = Press::Engine.new(fitting)
      engine.down(0, 0)
      engine.up(120_000, 0)
      script = <<~RUBY
        require "#{File.expand_path("../../lib/kippen", __dir__)}"
        document, state = JSON.parse($stdin.read)
        engine = Kippen::Press::Engine.new(Kippen::Fitting.read(document)).resume(state)
        engine.down(300_000, 0)
        print engine.take.map { |outcome| [outcome.gesture, outcome.at_us] }.inspect
      RUBY
      said = IO.popen(["ruby", "-e", script], "r+") do |io|
        io.write(JSON.generate([fitting.document, engine.save]))
        io.close_write
        io.read
      end
      assert_equal '[["double_tap", 300000]]', said
    end

    def test_what_is_no_saved_state_is_refused
      error = assert_raises(Error) { Press::Engine.new(fitting).resume({ "kippen" => "press-state/9" }) }
      assert_equal 'this is no saved state: "press-state/9"', error.message
    end
  end
end
