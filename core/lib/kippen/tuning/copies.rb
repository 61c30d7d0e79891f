# frozen_string_literal: true

require "zlib"

module Kippen
  module Tuning
    # Trials made again a little differently: tomorrow's presses fall a little outside today's. Lengths and gaps of
    # presses spread roughly log-normally (from memory: literature), so each copy has all its lengths and all its
    # gaps multiplied by a factor of its own. The fewer trials there are, the further they reach. The engine judges
    # the copies as it judges the trials. What is drawn for a press comes from that press alone, so that the order of
    # the trials changes nothing.
    class Copies
      # So many trials in all, copies included: what a fit of a few costs is what a fit of many does.
      ALTOGETHER = 96
      MOST = 7
      # Of the spread that lengths of one person's presses have, invented: shrinks with the fifth root of the number,
      # as the width of a kernel does (Silverman 1986: from memory).
      SPREAD = 0.28
      LARGEST = (2**32).to_f

      # Of one's own trials, and of those beside: with so many of them, few need any.
      def self.of_both(own, beside) = [new(own.size), new(own.size + beside.size)]

      # among – how many trials there are
      def initialize(among)
        @count = among.zero? ? 0 : ((ALTOGETHER / among) - 1).clamp(0, MOST)
        @width = SPREAD * (([among, 1].max / 4.0)**-0.2)
        @made = {}.compare_by_identity
      end

      # [Trial] of one trial, always the same.
      def of(trial)
        @made[trial] ||= begin
          seed = Zlib.crc32("#{trial.intended}#{trial.rows}")
          Array.new(@count) { |index| copy(trial, *factors(seed, index)) }
        end
      end

      private

      # Three that are near 1, of lengths, gaps and levels: log-normal, by hash of the press.
      def factors(seed, index)
        [@width, @width, @width / 4].each_with_index.map do |one, which|
          Math.exp(one * normal((((seed << 8) | index) << 2) | which))
        end
      end

      # A standard normal value (Box–Muller) that belongs to a number.
      def normal(number)
        one, other = [0, 1].map { |salt| (Zlib.crc32([number, salt].pack("QC")) + 0.5) / LARGEST }
        Math.sqrt(-2 * Math.log(one)) * Math.cos(2 * Math::PI * other)
      end

      def copy(trial, closed, open, level)
        return trial if trial.rows.empty?

        at = before = trial.rows.first.first
        down = false
        rows = trial.rows.map do |time, kind, value|
          at += ((time - before) * (down || kind == "level" ? closed : open)).round
          before = time
          down = kind == "down"
          value ? [at, kind, (value * level).clamp(0.0, 1.0)] : [at, kind]
        end
        Trial.new(intended: trial.intended, rows:, weight: trial.weight, data: trial.data).freeze
      end
    end
  end
end
