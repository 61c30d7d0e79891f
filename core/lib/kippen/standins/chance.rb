# frozen_string_literal: true

module Kippen
  module Standins
    # Chance that is the same every time: all of it comes from one seed.
    class Chance
      # seed – Integer
      def initialize(seed) = @random = Random.new(seed)

      # True in a share of the cases; share – 0 to 1
      def happens?(share) = @random.rand < share

      # A whole number of microseconds, log-normally spread: half are shorter than the median,
      # two thirds lie between median / e^spread and median × e^spread.
      # distribution – { "median" => ms, "spread" => 0… }
      def length_us(distribution)
        (distribution["median"] * Math.exp(distribution.fetch("spread", 0) * normal) * 1000).round.clamp(1000, 60_000_000)
      end

      # A standard normal value (Box–Muller).
      def normal = Math.sqrt(-2 * Math.log(1 - @random.rand)) * Math.cos(2 * Math::PI * @random.rand)

      # How often something happens that happens so often on average (Poisson, by counting).
      def times(average)
        limit = Math.exp(-average)
        product = @random.rand
        count = 0
        while product > limit
          count += 1
          product *= @random.rand
        end
        count
      end
    end
  end
end
