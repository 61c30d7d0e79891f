# frozen_string_literal: true

module Kippen
  module Tuning
    # What a fit rests on: a person's own presses and their copies, presses beside them, people in general; each with
    # how much it says.
    class Evidence
      # Presses in general count as so many of a gesture that was asked for, at most as many as there are.
      GENERAL = 4
      # How much of a press a press beside says.
      BESIDE = 0.3

      # series – own trials, and what is offered; beside – [Trial]; general, beside_weight – see above; copies – of trials
      def initialize(series, beside: [], general: GENERAL, beside_weight: BESIDE, copies: Copies.new(series.trials.size))
        @series = series
        @beside = beside_weight.positive? ? beside : []
        @general = general
        @beside_weight = beside_weight
        @copies = copies
      end

      # How many presses of the person's own: what one of them says of all.
      def own = @series.trials.size

      # [[Trial, weight]…] of all, but of gestures of which nothing was pressed.
      def weighed = @weighed ||= [*spread(sorted(@series.trials), 1), *spread(sorted(@beside), @beside_weight), *asked]

      # As so many presses people in general count, of each gesture.
      def general_weight = @general

      # [[Trial, weight]…] of those: people in general alone.
      def unasked = @unasked ||= missing.flat_map { |gesture| generally(gesture, [mean_count, @general].max) }

      # Gestures that are offered and were never pressed, not even beside.
      def missing = @missing ||= @series.offered - pressed

      # People in general, as far as this person is known.
      def people = @people ||= General.new(Seen.new([*sorted(@series.trials), *sorted(@beside)], @series.levels), @series.kind)

      private

      # By what was pressed, not by when: another order must give the same, to the last digit.
      def sorted(trials) = trials.sort_by { |trial| [trial.intended, trial.rows.flatten.size, trial.rows.to_s] }

      # [[Trial, weight]…]: each shares what it says with its copies.
      def spread(trials, weight)
        trials.flat_map do |trial|
          all = [trial, *@copies.of(trial)]
          all.map { |one| [one, weight * trial.weight / all.size.to_f] }
        end
      end

      def pressed = [*@series.trials, *@beside].map(&:intended).uniq
      def asked = (@series.offered & pressed).flat_map { |gesture| generally(gesture, @general) }

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
