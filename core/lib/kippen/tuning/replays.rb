# frozen_string_literal: true

module Kippen
  module Tuning
    # Replays trials under timings: what the engine makes of them, nothing else. Only what a value can change is replayed,
    # and what was replayed is kept. A timing is a Hash of settings as a file has them.
    class Replays
      # A trace that is too long for Cells: each timing by itself.
      class Whole
        def initialize(intended, contacts, judge)
          @intended = intended
          @contacts = contacts
          @judge = judge
          @scores = {}
        end

        def score(point) = @scores[point.timing] ||= @judge.score(@intended, @judge.outcomes(@contacts, point.timing))

        def add_costs(sums, points, _moved, weight, price)
          points.each_with_index do |point, index|
            score = score(point)
            sums[index] += weight * (score.right? ? price * (score.total_us || 0) : 1)
          end
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
      def counted(trial, timing) = @judge.outcomes(contacts(trial, timing), point(timing).timing).sum { |row| PRESSES.fetch(row.gesture, 1) }

      # Mean costs under each of some timings that differ in some settings alone. weighed – [[Trial, weight]…]; price – of a
      # second of waiting, in wrong presses
      def costs(weighed, timings, settings, price)
        @deadline.check
        points = timings.map { |timing| point(timing) }
        sums = Array.new(points.size, 0.0)
        return costs_by_level(weighed, timings, points, sums, price) if @force && settings.intersect?(Space::LEVELS)

        moved = settings.include?("bounce_guard_from") ? Point::ALL : settings.flat_map { |setting| Point::PLACES.fetch(setting, []) }.uniq
        weighed.each { |trial, weight| trace(trial, timings.first).add_costs(sums, points, moved, weight, price / 1e6) }
        sums
      end

      private

      # Where nothing is counted up to, or nothing is long, what says how long plays no part.
      def used(series)
        return [0, 1, 2, 7, 8] if series.pass_through?

        long = series.offered.include?("long_press")
        counted = series.offered.intersect?(%w[double_tap triple_tap])
        [0, 1, 2, *([3, 6] if long), *([4, 5] if counted)]
      end

      # The same Point for the same settings.
      def point(timing) = @points[timing] ||= Point.new(Fitting::Timing::USUAL.merge(timing), @double_click_us || 0)

      def costs_by_level(weighed, timings, points, sums, price)
        weighed.each do |trial, weight|
          points.each_with_index do |point, index|
            one = [0.0]
            trace(trial, timings[index]).add_costs(one, [point], Point::ALL, weight, price / 1e6)
            sums[index] += one[0]
          end
        end
        sums
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

        Cells.new(intended, contacts, @kept[intended], @used, @judge, (@double_click_us if intended == "double_click"))
      end
    end
  end
end
