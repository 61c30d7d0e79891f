# frozen_string_literal: true

module Kippen
  module Tuning
    # Where a trial lies on the lanes, from its trace alone.
    module Marks
      module_function

      # { "held" => [ms…], "apart" => [ms…] }: how long each touch was, of a press that was to last the whole; how
      # long it was let go between. Levels count from the press level.
      def of(trial, press_at:, release_at:)
        touches = Touches.of(trial.rows, press_at:, release_at:)
        return { "held" => [], "apart" => [] } if touches.empty?

        long = %w[long_press drag].include?(trial.intended)
        held = long ? [[touches.first[0], touches.last[1]]] : touches
        { "held" => held.map { |from, to| ms(to - from) },
          "apart" => touches.each_cons(2).map { |one, other| ms(other[0] - one[1]) } }
      end

      def ms(us) = (us / 1000.0).round(1)
      private_class_method :ms
    end
  end
end
