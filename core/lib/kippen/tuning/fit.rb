# frozen_string_literal: true

module Kippen
  module Tuning
    # The timing that costs least on what a fit rests on; but what is set today stays where another gains nothing, and
    # where many cost the same, the middle of the room that the presses leave.
    class Fit
      PRICE = 0.05
      # Between never wrong and quick.
      PRICES = [0.01, 0.02, PRICE, 0.1, 0.2, 0.5].freeze
      MOST_PRICE = 10
      # Less than such a share of one press is no gain.
      GAIN = 0.3
      # Nor is less waiting where no press comes out otherwise.
      WAIT = 1.0
      # So many values are looked at for the middle.
      IN_A_ROOM = 24
      attr_reader :replays, :search

      # In so many steps a fit is done, at most.
      def self.steps(series) = 2 * Search::ROUNDS * Search::ROUNDS * (Space.new(series, []).settings.size + 2)

      # price – of a second of waiting, in wrong presses; fixed – { setting => value } that stay; progress – a Progress;
      # replays – of trials that others have replayed already; evidence – Evidence
      def initialize(series, price: PRICE, fixed: {}, progress: Progress.new, replays: Replays.new(series), evidence: nil)
        @series = series
        @fixed = fixed
        @replays = replays
        evidence ||= Evidence.new(series)
        @space = Space.new(series, (evidence.weighed + evidence.unasked).map(&:first))
        @likely = likely(evidence.people)
        @costs = Costs.new(replays, evidence, price, today)
        @search = Search.new(@space, still, @costs, guards, progress:)
      end

      # { setting => value }, only what can be set.
      def timing = @timing ||= settled(*best).slice(*reported)

      # [timing, cost] before anything is preferred.
      def best = @best ||= @search.best([today, @likely].uniq)

      # Mean cost of a timing.
      def cost(timing) = @costs.of(@series.whole.merge(timing))

      # What is set today, as far as it can be.
      def today = @today ||= @series.whole.to_h { |name, value| [name, @space.nearest(name, value)] }.merge(@fixed)

      private

      # Where it would lie for somebody of whom only lengths and gaps are known.
      def likely(people)
        press, gap, long = %w[press gap long].map { |name| people.next_of(name) }
        longest = Math.exp(gap[0] + (2 * gap[1])) + (@series.whole["tap_gap_from"] == "press" ? Math.exp(press[0]) : 0)
        moved = { "long_press_ms" => Math.exp((press[0] + long[0]) / 2), "tap_gap_ms" => longest }.slice(*@space.settings)
        today.merge(moved.to_h { |setting, ms| [setting, @space.near(setting, ms)] }, @fixed)
      end

      def reported = [*@space.settings, "bounce_guard_from", *@fixed.keys].uniq
      def still = @fixed.keys + @series.settable.select { |_, allowed| allowed.key?("fixed") }.keys

      def guards = @fixed.key?("bounce_guard_from") ? [@fixed["bounce_guard_from"]] : @space.guards

      def slack(gain = GAIN) = gain / [@costs.all, 1].max

      # What going back from a timing to another may cost: more where nothing but waiting is gained.
      def back(timing, other)
        wrong, wrong_then = [timing, other].map { |one| @costs.wrong(one) }
        slack(wrong_then - wrong < GAIN ? WAIT : GAIN)
      end

      # As near to today as costs hardly more, and the rest in the middle of its room.
      def settled(best, least)
        allowed = ->(timing) { @costs.of(timing) <= least + back(best, timing) }
        timing = kept(best, allowed)
        changed(timing).each { |setting| timing = middled(timing, setting, allowed) unless setting == "bounce_guard_from" }
        timing
      end

      def changed(timing) = (@space.settings + ["bounce_guard_from"]).reject { |setting| timing[setting] == today[setting] }

      # All goes back, or what gains least goes first, as long as it gains too little.
      def kept(timing, allowed)
        return today if allowed[today]

        loop do
          back = [*changed(timing).map { |setting| [setting] }, *@space.pairs.select { |pair| (pair - changed(timing)).empty? }]
          tried = back.map { |settings| timing.merge(today.slice(*settings)) }.select do |one|
            one["release_at"] < one["press_at"]
          end
          cheapest = tried.min_by { |one| @costs.of(one) }
          return timing unless cheapest && allowed[cheapest]

          timing = cheapest
        end
      end

      # In the middle of those next to each other that cost hardly more than it.
      def middled(timing, setting, allowed)
        values = (@space.values(setting, timing, most: IN_A_ROOM) | [timing[setting]]).sort
        costs = @costs.along(timing, setting, values)
        most = costs[values.index(timing[setting])] + (slack / 4)
        run = room(values, costs, timing[setting], most)
        between = Space::LEVELS.include?(setting) ? run.sum / run.size : Math.sqrt([run.first, 1].max * run.last.to_f)
        middle = timing.merge(setting => @space.near(setting, between))
        @costs.of(middle) <= most && allowed[middle] ? middle : timing
      end

      # Those next to each other around a value that cost no more.
      def room(values, costs, value, most)
        low = high = values.index(value)
        low -= 1 while low.positive? && costs[low - 1] <= most
        high += 1 while high < values.size - 1 && costs[high + 1] <= most
        values[low..high]
      end
    end
  end
end
