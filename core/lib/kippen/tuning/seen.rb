# frozen_string_literal: true

module Kippen
  module Tuning
    # What is seen of a person in their presses: how long, how far apart, and what came besides.
    class Seen
      # An opening as short as this lets nothing go: a bounce, or a grip that drops out (invented).
      DROP_OUT_US = 60_000
      LONG = %w[long_press drag].freeze

      # lengths – { "press" | "gap" | "long" => [ms…] }; ghosts – of each press that had any, [[gap, length] in µs…]: after
      # the press before, or with a gap below 0 before the first; openings – of each that had any, [[after, length] in
      # µs…]; presses – how many trials there are
      attr_reader :lengths, :ghosts, :openings, :presses

      # trials – [Trial]; levels – as Series#levels has them
      def initialize(trials, levels)
        @lengths = { "press" => [], "gap" => [], "long" => [] }
        @ghosts = []
        @openings = []
        @presses = 0
        trials.each { |trial| look(trial.intended, Touches.of(trial.rows, **levels)) }
      end

      private

      def look(intended, touches)
        count = PRESSES.fetch(intended)
        return if count.zero? || touches.empty?

        runs = runs(touches, count)
        take(runs.map { |run| [run.first[0], run.last[1]] }, LONG.include?(intended) ? "long" : "press", count)
        odd(runs.select { |run| run.size > 1 }.map { |(first, second, *)| [first[1] - first[0], second[0] - first[1]] },
            @openings)
      end

      # A press that drops out for a moment is one, unless too few would be left.
      def runs(touches, count)
        runs = touches.slice_when { |one, other| other[0] - one[1] > DROP_OUT_US }.to_a
        runs.size < count ? touches.map { |touch| [touch] } : runs
      end

      # The longest touches are the presses; the others are ghosts.
      def take(touches, name, count)
        pressed = touches.max_by(count) { |from, to| to - from }.sort
        @lengths[name].concat(pressed.map { |from, to| ms(to - from) })
        @lengths["gap"].concat(pressed.each_cons(2).map { |one, other| ms(other[0] - one[1]) })
        @presses += 1
        odd((touches - pressed).map { |touch| ghost(touch, pressed) }, @ghosts)
      end

      def odd(found, list) = found.any? && (list << found)

      def ghost((from, to), pressed)
        before = pressed.reverse.find { |press| press[1] <= from }
        [before ? from - before[1] : to - pressed[0][0], to - from]
      end

      def ms(us) = [us / 1000.0, 1].max
    end
  end
end
