# frozen_string_literal: true

module Kippen
  module Tuning
    # What a fit rests on: a person's own presses and their copies, presses beside them, people in general; each with
    # how much it says.
    class Evidence
      # People in general count as so many presses of each gesture that was asked for.
      GENERAL = 4
      # How much of a press a press beside says.
      BESIDE = 0.3
      # One in so many says roughly what all do.
      ROUGHLY = 3

      # series – own trials, and what is offered; beside – [Trial]; general, beside_weight – see above; copies – of one's own
      # trials, and of those beside; spare – is what was never asked for spared?
      def initialize(series, beside: [], general: GENERAL, beside_weight: BESIDE, spare: true,
                     copies: Copies.of_both(series.trials, beside))
        @series = series
        @beside = beside_weight.positive? ? beside : []
        @general = general
        @beside_weight = beside_weight
        @copies = copies
        @spare = spare
      end

      # [[Trial, weight]…] of all, but of gestures of which nothing was pressed.
      def weighed = groups.flatten(1)

      # Some of them, every press of one's own among them.
      def rough = groups.flat_map { |group| group.each_slice(ROUGHLY).map(&:first) }

      # As so many presses people in general count, of each gesture.
      def general_weight = @general

      # [[Trial, weight]…] of those: people in general alone.
      def unasked = @unasked ||= missing.flat_map { |gesture| generally(gesture, [mean_count, @general].max) }

      # Was anything pressed at all? Of nobody's presses nothing is better than today.
      def pressed? = pressed.any? { |intended| !STILL.include?(intended) }

      # Gestures that are offered and were never pressed, not even beside.
      def missing = @missing ||= @spare ? @series.offered - pressed : []

      # People in general, as far as this person is known.
      def people = @people ||= General.new(Seen.new([*sorted(@series.trials), *sorted(@beside)], @series.levels), @series.kind)

      private

      # By what was pressed, not by when: another order must give the same, to the last digit.
      def sorted(trials) = trials.sort_by { |trial| [trial.intended, trial.rows.flatten.size, trial.rows.to_s] }

      def groups
        @groups ||= [*spread(@series.trials, 1, @copies[0]), *spread(@beside, @beside_weight, @copies[1]), *asked]
      end

      # Each with its copies, which share what it says.
      def spread(trials, weight, copies)
        sorted(trials).map do |trial|
          all = [trial, *copies.of(trial)]
          all.map { |one| [one, weight * trial.weight / all.size.to_f] }
        end
      end

      def pressed = [*@series.trials, *@beside].map(&:intended).uniq
      def asked = (@series.offered & pressed).map { |gesture| generally(gesture, @general) }

      def mean_count
        counts = @series.trials.reject { |trial| STILL.include?(trial.intended) }.group_by(&:intended).values.map(&:size)
        counts.empty? ? 1 : counts.sum.fdiv(counts.size)
      end

      def generally(gesture, weight)
        return [] unless weight.positive?

        trials = people.trials(gesture)
        trials.map { |trial| [trial, weight / trials.size.to_f] }
      end
    end
  end
end
