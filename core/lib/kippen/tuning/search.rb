# frozen_string_literal: true

module Kippen
  module Tuning
    # The timing of least cost: each setting in turn, then those that trade against each other together, until nothing
    # gains. Which way leads on is looked for on a part of what there is, the way itself is gone on all of it.
    class Search
      ROUNDS = 4
      ROUGH_ROUNDS = 2
      # Values of each of a pair.
      PAIRED = 5
      # Values of one where it is only looked which way leads on.
      COARSE = 6
      # Of each filter in a grid of all.
      GRID = 4
      # So many of those are gone on from.
      ONWARDS = 2
      GAINS = 1e-9

      # still – settings that stay; costs – ->([timing…], [setting in which they differ…], rough) gives what each costs,
      # roughly or not
      def initialize(space, still, watch, &costs)
        @space = space
        @costs = costs
        @watch = watch
        @moved = space.settings - still
        @pairs = space.pairs.select { |pair| (pair - @moved).empty? }
      end

      # [timing, cost] of the least that is found: from each beginning over a coarse grid of all filters, from the best of them on.
      # guards – from what a bounce guard may count
      def best(beginnings, guards)
        ways = beginnings.flat_map do |timing|
          first = roughly(timing)
          [first, *filtered(first, guards).map { |one| roughly(one) }]
        end
        from(least_of(ways.uniq))
      end

      # [timing, cost] from one on.
      def from(timing)
        here = [timing, cost(timing)]
        ROUNDS.times do
          here = singly(here, false)
          before = here[1]
          here = together(here)
          break if here[1] >= before - GAINS
        end
        here
      end

      def cost(timing) = @costs.call([timing], [], false).first

      private

      def roughly(timing) = singly([timing, @costs.call([timing], [], true).first], true)[0]

      def singly(here, rough)
        (rough ? ROUGH_ROUNDS : ROUNDS).times do
          before = here[1]
          @moved.each { |setting| here = along(here, setting, rough) }
          break if here[1] >= before - GAINS
        end
        here
      end

      # The best value of one setting: of some over all, then of all near the best of them.
      def along(here, setting, rough)
        @watch.step
        values = @space.values(setting, here[0], most: rough ? COARSE : Space::MOST)
        best = least(here, values.map { |value| { setting => value } }, [setting], rough)
        return best if rough

        at = best[0][setting]
        within = [values.select { |value| value < at }.last || at, values.find { |value| value > at } || at]
        near = @space.values(setting, best[0], within:, most: PAIRED)
        least(best, near.map { |value| { setting => value } }, [setting], rough)
      end

      # The best few timings of a grid of filters.
      def filtered(timing, guards)
        filters = Space::FILTERS & @moved
        return [] if filters.empty?

        values = filters.map { |setting| @space.values(setting, timing, most: GRID) }
        costed = guards.flat_map do |from|
          list = values.first.product(*values.drop(1)).map { |all| timing.merge(filters.zip(all).to_h, "bounce_guard_from" => from) }
          list.zip(@costs.call(list, filters, true))
        end
        costed.each_with_index.min_by(ONWARDS) { |(_, cost), index| [cost, index] }.map { |(timing, _), _| timing }
      end

      def together(here)
        @pairs.each do |one, other|
          @watch.step
          first, second = [one, other].map { |setting| @space.values(setting, here[0], most: PAIRED) }
          both = first.product(second).map { |values| { one => values[0], other => values[1] } }
          here = least(here, both.select { |change| levels_ok?(here[0].merge(change)) }, [one, other], false)
        end
        here
      end

      def levels_ok?(timing) = timing["release_at"] < timing["press_at"]

      # On all there is.
      def least_of(timings) = timings.min_by.with_index { |timing, index| [cost(timing), index] }

      def least(here, changes, settings, rough)
        return here if changes.empty?

        timings = changes.map { |change| here[0].merge(change) }
        costs = @costs.call(timings, settings, rough)
        place = costs.each_index.min_by { |index| costs[index] }
        costs[place] < here[1] - GAINS ? [timings[place], costs[place]] : here
      end
    end
  end
end
