# frozen_string_literal: true

module Kippen
  module Tuning
    # The timing that costs least on trials: each setting in turn, over the values at which something changes, from
    # several beginnings; where many cost the same, in the middle of the room that the data leave, and off rather than
    # on for nothing.
    class Fit
      PRICE = 0.05
      # Between never wrong and quick.
      PRICES = [0.01, 0.02, PRICE, 0.1, 0.2, 0.5].freeze
      ROUNDS = 2
      # Less than a trial's share of this is no gain.
      GAIN = 0.3
      # What a filter is made of first; the others follow.
      BEGINNINGS = [%w[gap_bridge_ms], %w[bounce_guard_ms], %w[bounce_guard_ms release]].freeze

      attr_reader :replays

      # In so many steps a fit is done, at most.
      def self.steps(series) = BEGINNINGS.size * ROUNDS * Space.new(series, []).settings.size

      # price – of a second of waiting, in wrong presses; fixed – { setting => value } that stay; watch – a Watch
      def initialize(series, price: PRICE, fixed: {}, watch: Watch.new)
        @watch = watch
        @series = series
        @price = price
        @fixed = fixed
        @trials = Smoothed.of(series.trials)
        @weights = @trials.sum(&:weight).to_f
        @space = Space.new(series, @trials)
        @replays = Replays.new(series)
        @tried = {}
      end

      # { setting => value }, only what can be set.
      def timing
        best = beginnings.map { |order, from| settle(start.merge("bounce_guard_from" => from), order) }.min_by.with_index { |one, index| [cost(one), index] }
        best.slice(*told)
      end

      # Mean cost of a timing on the trials and their copies.
      def cost(timing)
        return 0.0 if @trials.empty?

        @tried[timing] ||= @trials.sum { |trial| trial.weight * of(@replays.score(trial, timing)) } / @weights
      end

      private

      def of(score)
        return 1.0 unless score.verdict == "right"

        score.total_us ? @price * score.total_us / 1_000_000.0 : 0.0
      end

      def told = [*@space.settings, "bounce_guard_from", *@fixed.keys].uniq

      # Unfitted, as far as it can be set.
      def start
        usual = Fitting::Timing::USUAL.merge(@series.given.slice("tap_gap_from"))
        usual.to_h { |name, value| [name, @series.settable[name] && value.is_a?(Numeric) ? @space.nearest(name, value) : value] }.merge(@fixed)
      end

      def beginnings
        guards = @fixed.key?("bounce_guard_from") ? [@fixed["bounce_guard_from"]] : @space.guards
        BEGINNINGS.filter_map do |first, from|
          from ||= guards.first
          [[first, *(@space.settings - [first])] & @space.settings, from] if guards.include?(from)
        end
      end

      def settle(timing, order)
        ROUNDS.times do
          before = timing
          order.each do |setting|
            timing = improved(timing, setting) unless fixed?(setting)
            @watch.step
          end
          break if timing == before
        end
        timing
      end

      def fixed?(setting) = @fixed.key?(setting) || @series.settable[setting]&.key?("fixed")

      # The same with the best value of one setting.
      def improved(timing, setting)
        values = @space.values(setting, timing) | [timing[setting]]
        costs = values.sort.map { |value| [value, cost(timing.merge(setting => value))] }
        least = costs.map(&:last).min
        off = @space.off(setting)
        return timing.merge(setting => off) if off && (none = costs.assoc(off)) && none[1] <= least + (GAIN / @series.trials.size)

        timing.merge(setting => middle(costs, least, setting, timing))
      end

      # In the middle of those next to each other that cost no more.
      def middle(costs, least, setting, timing)
        run = room(costs, least).map(&:first)
        between = Space::LEVELS.include?(setting) ? (run.first + run.last) / 2.0 : Math.sqrt([run.first, 1].max * run.last.to_f)
        chosen = @space.nearest(setting, between)
        cost(timing.merge(setting => chosen)) <= least + 1e-3 ? chosen : run[run.size / 2]
      end

      # The widest run of [value, cost] that cost no more than the least.
      def room(costs, least)
        runs = costs.chunk_while { |(_, one), (_, other)| same?(one, least) == same?(other, least) }.select { |run| same?(run.first[1], least) }
        runs.max_by { |run| [width(run.map(&:first)), -run.first[0]] }
      end

      def width(values) = values.last / [values.first, 1e-3].max.to_f
      def same?(cost, least) = cost - least < 1e-4
    end
  end
end
