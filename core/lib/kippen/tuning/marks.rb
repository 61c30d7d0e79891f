# frozen_string_literal: true

module Kippen
  module Tuning
    # Where a trial lies on the lanes, from its trace alone.
    module Marks
      module_function

      # { "held" => [ms…], "apart" => [ms…] }: how long each touch was, of a press that was to last the whole; how
      # long it was let go between. Levels count from the press level.
      def of(trial, press_at:, release_at:)
        touches = touches(trial.rows, press_at, release_at)
        return { "held" => [], "apart" => [] } if touches.empty?

        long = %w[long_press drag].include?(trial.intended)
        held = long ? [[touches.first[0], touches.last[1]]] : touches
        { "held" => held.map { |from, to| ms(to - from) }, "apart" => touches.each_cons(2).map { |one, other| ms(other[0] - one[1]) } }
      end

      # [[from µs, to µs]…]; what is not let go ends with the trace.
      def touches(rows, press_at, release_at)
        down = nil
        found = rows.each_with_object([]) do |(at, kind, level), list|
          now = if kind == "level"
                  down ? level > release_at : level >= press_at
                else
                  kind == "down"
                end
          list << [down, at] if down && !now
          down = now ? down || at : nil
        end
        down ? found << [down, rows.last[0]] : found
      end

      def ms(us) = (us / 1000.0).round(1)
      private_class_method :ms
    end
  end
end
