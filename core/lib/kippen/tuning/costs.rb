# frozen_string_literal: true

module Kippen
  module Tuning
    # What a timing costs on what a fit rests on, of a press; infinite where it takes away what was never asked for. Each is
    # looked for once.
    class Costs
      # Of gestures never asked for such a share more may come out wrong than today.
      SPARED = 0.02

      # How much all trials say together.
      attr_reader :all

      # replays – Replays; evidence – Evidence; price – of a second of waiting, in wrong presses; today – the timing as it is
      def initialize(replays, evidence, price, today)
        @replays = replays
        @weighed = evidence.weighed
        @rough = evidence.rough
        @unasked = evidence.unasked
        @pressed = evidence.pressed?
        @price = price
        @today = today
        @all = (@weighed + @unasked).sum(&:last)
        @known = [{}, {}]
        @lines = [{}, {}]
      end

      # rough – on some of it alone
      def of(timing, rough: false)
        @known[rough ? 1 : 0][timing] ||= judged(rough) { |weighed, price| [@replays.cost(weighed, timing, price:)] }.first
      end

      # One for each of some values of a setting, from the least on.
      def along(timing, setting, values, rough: false)
        @lines[rough ? 1 : 0][[timing.except(setting), setting, values]] ||=
          judged(rough) { |weighed, price| @replays.costs_along(weighed, timing, setting, values, price:) }
      end

      # How many come out wrong, of what was pressed.
      def wrong(timing) = @replays.cost(@weighed, timing, price: 0)

      private

      # Yields what it is judged on and the price, wants [sum…].
      def judged(rough)
        sums = yield(rough ? @rough : @weighed, @price)
        return sums.map { |sum| @all.zero? ? 0.0 : sum / @all } if @unasked.empty?

        rests = @pressed ? yield(@unasked, @price) : sums.map { 0.0 }
        wrong = yield(@unasked, 0)
        sums.each_index.map { |index| wrong[index] > allowed ? Float::INFINITY : (sums[index] + rests[index]) / @all }
      end

      def allowed = @allowed ||= @replays.cost(@unasked, @today, price: 0) + (SPARED * @unasked.sum(&:last)) + 1e-9
    end
  end
end
