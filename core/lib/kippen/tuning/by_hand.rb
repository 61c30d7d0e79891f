# frozen_string_literal: true

module Kippen
  module Tuning
    # Finding a bounce guard by hand: from 100 ms up by 50 until one press counts once. Common practice, no source.
    module ByHand
      FROM = 100
      STEP = 50
      TO = 1000

      # guard_ms – that is tried next, or was found; found – did one press count once with it; tried – [[ms, how often it
      # counted]…]
      State = Struct.new(:guard_ms, :found, :tried, keyword_init: true)

      module_function

      # series – with the presses in the order they were made. Returns a State.
      def of(series)
        replays = Replays.new(series)
        usual = Fitting::Timing::USUAL.merge(series.given)
        tried = []
        guard = FROM
        series.trials.each do |trial|
          break if tried.last&.last == 1 || guard > TO

          counted = replays.rows(trial, usual.merge("bounce_guard_ms" => guard))
          tried << [guard, counted]
          # What counted not at all says nothing of a guard.
          guard += STEP if counted > 1
        end
        State.new(guard_ms: guard, found: tried.last&.last == 1, tried:).freeze
      end
    end
  end
end
