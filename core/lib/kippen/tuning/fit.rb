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
      # Several that gain too little may together gain so many times that.
      TOGETHER = 3
      # So many values are looked at for the middle.
      IN_A_ROOM = 24
      # Of gestures never asked for such a share more may come out wrong than today.
      SPARED = 0.02

      attr_reader :replays, :search

      # In so many steps a fit is done, at most.
      def self.steps(series) = 2 * Search::ROUNDS * Search::ROUNDS * (Space.new(series, []).settings.size + 2)

      # price – of a second of waiting, in wrong presses; fixed – { setting => value } that stay; watch – a Watch;
      # replays – of trials that others have replayed already; evidence – Evidence
      def initialize(series, price: PRICE, fixed: {}, watch: Watch.new, replays: Replays.new(series), evidence: nil)
        @watch = watch
        @series = series
        @price = price
        @fixed = fixed
        @replays = replays
        evidence ||= Evidence.new(series)
        @weighed = evidence.weighed
        @unasked = evidence.unasked
        @pressed = evidence.pressed?
        @rough = evidence.rough
        @all = (@weighed + @unasked).sum(&:last)
        @space = Space.new(series, (@weighed + @unasked).map(&:first))
        @likely = likely(evidence.people)
        @search = Search.new(@space, still, watch) { |timings, settings, rough| costs(timings, settings, rough ? @rough : @weighed) }
      end

      # { setting => value }, only what can be set.
      def timing = @timing ||= settled(*best).slice(*told)

      # [timing, cost] before anything is preferred.
      def best = @best ||= @search.best([today, @likely].uniq, @fixed.key?("bounce_guard_from") ? [@fixed["bounce_guard_from"]] : @space.guards)

      # Mean cost of a timing.
      def cost(timing) = @search.cost(@series.whole.merge(timing))

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

      def told = [*@space.settings, "bounce_guard_from", *@fixed.keys].uniq
      def still = @fixed.keys + @series.settable.select { |_, allowed| allowed.key?("fixed") }.keys

      # Each timing's, of a press; infinite where it takes away what was never asked for.
      def costs(timings, settings, weighed = @weighed)
        return Array.new(timings.size, 0.0) if @all.zero?

        sums = @replays.costs(weighed, timings, settings, @price)
        return sums.map { |sum| sum / @all } if @unasked.empty?

        rests = @pressed ? @replays.costs(@unasked, timings, settings, @price) : Array.new(timings.size, 0.0)
        wrong = @replays.costs(@unasked, timings, settings, 0)
        sums.each_index.map { |index| wrong[index] > allowed ? Float::INFINITY : (sums[index] + rests[index]) / @all }
      end

      def allowed
        @allowed ||= @replays.costs(@unasked, [today], [], 0).first + (SPARED * @unasked.sum(&:last)) + 1e-9
      end

      def slack(gain = GAIN) = gain / [@all, 1].max

      # What going back from a timing to another may cost: more where nothing but waiting is gained.
      def back(timing, other)
        wrong, wrong_then = [timing, other].map { |one| @replays.costs(@weighed, [one], [], 0).first }
        slack(wrong_then - wrong < GAIN ? WAIT : GAIN)
      end

      # As near to today as costs hardly more, and the rest in the middle of its room.
      def settled(best, least)
        most = least + (TOGETHER * slack)
        timing = kept(best, least, most)
        changed(timing).each { |setting| timing = middled(timing, setting) unless setting == "bounce_guard_from" }
        timing
      end

      def changed(timing) = (@space.settings + ["bounce_guard_from"]).reject { |setting| timing[setting] == today[setting] }

      # What gains least goes back first, as long as it gains too little by itself.
      def kept(timing, here, most)
        loop do
          back = [*changed(timing).map { |setting| [setting] }, *@space.pairs.select { |pair| (pair - changed(timing)).empty? }]
          tried = back.map { |settings| timing.merge(today.slice(*settings)) }.select { |one| one["release_at"] < one["press_at"] }
          cheapest = tried.map { |one| [one, @search.cost(one)] }.min_by(&:last)
          return timing if cheapest.nil? || cheapest[1] > [here + back(timing, cheapest[0]), most].min

          timing, here = cheapest
        end
      end

      # In the middle of those next to each other that cost hardly more than it.
      def middled(timing, setting)
        values = (@space.values(setting, timing, most: IN_A_ROOM) | [timing[setting]]).sort
        costs = costs(values.map { |value| timing.merge(setting => value) }, [setting])
        most = costs[values.index(timing[setting])] + (slack / 4)
        run = room(values, costs, timing[setting], most)
        between = Space::LEVELS.include?(setting) ? run.sum / run.size : Math.sqrt([run.first, 1].max * run.last.to_f)
        middle = timing.merge(setting => @space.near(setting, between))
        @search.cost(middle) <= most ? middle : timing
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
