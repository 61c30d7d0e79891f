# frozen_string_literal: true

module Kippen
  module Tuning
    # Replays trials under timings: what the engine makes of them, nothing else. Only what a value can change is replayed,
    # and what was replayed is kept. A timing is a Hash of settings as a file has them.
    class Replays
      MOST_POINTS = 5_000

      # A trace that is too long for Cells: each timing by itself.
      class Whole
        def initialize(intended, contacts, judge)
          @intended = intended
          @contacts = contacts
          @judge = judge
        end

        # The last one is kept: a long trace under thousands of timings would be a heap of them.
        def score(point)
          return @score if @of.equal?(point)

          @of = point
          @score = @judge.score(@intended, @judge.outcomes(@contacts, point.timing))
        end

        def cost(point, weight, price)
          score = score(point)
          weight * (score.right? ? price * (score.total_us || 0) : 1)
        end

        def add_costs(line, weight, price)
          line.size.times { |index| line.add(index, index + 1, cost(line.point(index), weight, price)) }
        end
      end

      # series – Series; deadline – how long it may take, looked at before each trial
      def initialize(series, deadline: Deadline::NEVER)
        @judge = Judge.new(series)
        @deadline = deadline
        @force = series.kind == "force"
        @used = used(series)
        @double_click_us = series.double_click_ms && (series.double_click_ms * 1000).round
        @kept = Hash.new { |all, intended| all[intended] = {} }
        @traces = {}.compare_by_identity
        @points = {}
      end

      # How many traces were replayed.
      def count = @judge.count
      # What the button offers: a Press::Resolver::Choice.
      def choice = @judge.choice

      # The Judge::Score of a Trial under a timing.
      def score(trial, timing)
        @deadline.check
        trace(trial, timing).score(point(timing))
      end

      # [Score] of some trials.
      def scores(trials, timing) = trials.map { |trial| score(trial, timing) }

      # How often a Trial counts under a timing: a double-tap twice.
      def counted(trial, timing)
        @judge.outcomes(contacts(trial, timing), point(timing).timing).sum { |row| PRESSES.fetch(row.gesture, 1) }
      end

      # What trials cost under a timing. weighed – [[Trial, weight]…]; price – of a second of waiting, in wrong presses
      def cost(weighed, timing, price:)
        @deadline.check
        point = point(timing)
        weighed.sum { |trial, weight| trace(trial, timing).cost(point, weight, price / 1e6) }
      end

      # The same with each of some values of a setting, from the least on.
      def costs_along(weighed, timing, setting, values, price:)
        unless Point::PLACES.key?(setting) && values.any?
          return values.map { |value| cost(weighed, timing.merge(setting => value), price:) }
        end

        @deadline.check
        line = Line.new(timing, setting, values) { |one| point(one) }
        weighed.each { |trial, weight| trace(trial, timing).add_costs(line, weight, price / 1e6) }
        line.costs
      end

      private

      # Where nothing is counted up to, or nothing is long, what says how long plays no part.
      def used(series)
        return [0, 1, 2, 7, 8] if series.pass_through?

        long = series.offered.include?("long_press")
        counted = series.offered.intersect?(%w[double_tap triple_tap])
        [0, 1, 2, *([3, 6] if long), *([4, 5] if counted)]
      end

      # The same Point for the same settings, of those that were asked for lately.
      def point(timing)
        @points.clear if @points.size > MOST_POINTS
        @points[timing] ||= Point.new(Fitting::Timing::USUAL.merge(timing), @double_click_us || 0)
      end

      def contacts(trial, timing) = @force ? Touches.contacts(trial.rows, timing["press_at"], timing["release_at"]) : trial.rows

      # What a trial's trace is at the levels of a timing; levels between which none was heard make the same.
      def trace(trial, timing)
        return @traces[trial] ||= kept(trial.intended, trial.rows) unless @force

        of_trial = @traces[trial] ||= {}
        levels = timing.values_at("press_at", "release_at")
        of_trial[levels] ||= begin
          contacts = contacts(trial, timing)
          of_trial[contacts] ||= kept(trial.intended, contacts)
        end
      end

      def kept(intended, contacts)
        return Whole.new(intended, contacts, @judge) if contacts.size > Cells::MOST_ROWS

        Cells.new(intended, contacts, kept: @kept[intended], used: @used, judge: @judge,
                                      double_click_us: (@double_click_us if intended == "double_click"))
      end
    end
  end
end
