# frozen_string_literal: true

module Kippen
  module Tuning
    # The timing of least cost: each setting in turn, along all its values, then those that trade against each other together,
    # until nothing gains. Which way leads on is looked for on a part of what there is, the way itself is gone on all of it.
    class Search
      ROUNDS = 4
      ROUGH_ROUNDS = 2
      # Values of the first of a pair, of the second all.
      PAIRED = 5
      # So many of what a part of it finds are looked at on all of it.
      LOOKED_AT = 2
      # Of each filter in a grid of all.
      GRID = 4
      # So many of those that may lead on are gone on from.
      ONWARDS = 2
      # Values of one where it is only looked which way leads on.
      ROUGHLY = 10
      GAINS = 1e-9

      # still – settings that stay; costs – Costs; guards – from what a bounce guard may count
      def initialize(space, still, costs, guards, progress:)
        @space = space
        @costs = costs
        @guards = guards
        @progress = progress
        @moved = space.settings - still
        @pairs = space.pairs.select { |pair| (pair - @moved).empty? }
      end

      # [timing, cost] of the least that is found from the best few of these: some beginnings, where each roughly leads, and the
      # best of a coarse grid of all filters about the last of them.
      def best(beginnings)
        ways = [*beginnings, *beginnings.map { |timing| roughly(timing) }, *filtered(beginnings.last)].uniq
        ways.each_with_index.min_by(ONWARDS) { |timing, index| [@costs.of(timing), index] }.map { |timing, _| from(timing) }
          .min_by(&:last)
      end

      # [timing, cost] from one on.
      def from(timing)
        here = [timing, @costs.of(timing)]
        ROUNDS.times do
          here = singly(here, false)
          before = here[1]
          here = together(here)
          break if here[1] >= before - GAINS
        end
        here
      end

      private

      def roughly(timing) = singly([timing, @costs.of(timing, rough: true)], true)[0]

      def singly(here, rough)
        (rough ? ROUGH_ROUNDS : ROUNDS).times do
          before = here[1]
          @moved.each { |setting| here = along(here, setting, rough) }
          break if here[1] >= before - GAINS
        end
        here
      end

      # The best value of one setting, of all.
      def along(here, setting, rough)
        @progress.step
        counted(here[0], [setting]).inject(here) { |best, timing| lower(best, *lowest(timing, setting, rough)) }
      end

      # A timing, and where a bounce guard is moved each way to count it.
      def counted(timing, settings)
        settings.include?("bounce_guard_ms") ? @guards.map { |from| timing.merge("bounce_guard_from" => from) } : [timing]
      end

      # [timing, cost] of the least value of a setting, the first of those that cost the same.
      def lowest(timing, setting, rough)
        values = @space.values(setting, timing, most: rough ? ROUGHLY : @space.most)
        costs = @costs.along(timing, setting, values, rough:)
        least = costs.min or return
        index = costs.index { |cost| cost <= least + GAINS }
        [timing.merge(setting => values[index]), costs[index]]
      end

      def lower(here, timing = nil, cost = nil) = timing && cost < here[1] - GAINS ? [timing, cost] : here

      # The best few timings of a grid of filters, all values of the last of them.
      def filtered(timing)
        *filters, last = Space::FILTERS & @moved
        return [] unless last

        values = filters.map { |setting| @space.values(setting, timing, most: GRID) }
        starts = @guards.product(*values).map { |from, *all| timing.merge(filters.zip(all).to_h, "bounce_guard_from" => from) }
        starts.filter_map { |one| lowest(one, last, true) }.each_with_index.min_by(ONWARDS) { |(_, cost), index| [cost, index] }
          .map do |(one, _), _|
          one
        end
      end

      def together(here)
        @pairs.each do |first, second|
          @progress.step
          found = counted(here[0], [first, second]).flat_map { |timing| paired(timing, first, second) }
          best = found.each_with_index.min_by(LOOKED_AT) { |(_, cost), index| [cost, index] }.map { |(timing, _), _| timing }
          here = lower(here, *least_of(best).then { |timing| timing && [timing, @costs.of(timing)] })
        end
        here
      end

      # [[timing, rough cost]…], for each of some values of one setting the best of another.
      def paired(timing, first, second)
        @space.values(first, timing, most: PAIRED).filter_map { |value| lowest(timing.merge(first => value), second, true) }
      end

      # On all there is.
      def least_of(timings) = timings.min_by.with_index { |timing, index| [@costs.of(timing), index] }
    end
  end
end
