# frozen_string_literal: true

module Kippen
  module Tuning
    # Finding a bounce guard by hand: from 100 ms up by 50 until no press counts more than once. Common practice, no source.
    module ByHand
      FROM = 100
      STEP = 50
      TO = 1000

      # guard_ms – that is tried next, or was found; found – did one press count once with it; tried – [[ms, how often it
      # counted]…]
      State = Struct.new(:guard_ms, :found, :tried, keyword_init: true)

      module_function

      # Press by press. series – with the presses in the order they were made. Returns a State.
      def of(series)
        replays = Replays.new(series)
        tried = []
        guard = FROM
        series.trials.each do |trial|
          break if tried.last&.last == 1 || guard > TO

          counted = replays.counted(trial, series.whole.merge("bounce_guard_ms" => guard))
          tried << [guard, counted]
          # What counted not at all says nothing of a guard.
          guard += STEP if counted > 1
        end
        State.new(guard_ms: guard, found: tried.last&.last == 1, tried:).freeze
      end

      # The bounce guard that is found on presses made already, in ms. trials – of any sort; timing – { setting => value }
      def guard(trials, replays, timing)
        ones = trials.select { |trial| PRESSES.fetch(trial.intended) == 1 }
        (FROM..TO).step(STEP)
          .find { |ms| ones.none? { |trial| replays.counted(trial, timing.merge("bounce_guard_ms" => ms)) > 1 } } || TO
      end
    end
  end
end
