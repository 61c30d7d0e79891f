# frozen_string_literal: true

module Kippen
  module Tuning
    # Presses as people in general make them, moved to what is known of one person: what a fit leans on where there are
    # few presses, or none of a gesture. Lengths and gaps are log-normal; one's own median is drawn from the medians of
    # people, so few presses are pulled towards people in general and many are not (the normal model with a known prior,
    # Gelman and others, Bayesian Data Analysis, ch. 2: from memory).
    class General
      # median in ms of people; between – the spread of people's own medians; within – the spread of one person's
      # presses; with_press – how far a person's other times go with the length of a press. All invented, but that a quick
      # press and the gap after it make the time of a keystroke, 0.12 to 0.28 s of the skilled (Card, Moran and Newell
      # 1980: from memory), which lies at the quick end.
      Quantity = Struct.new(:median, :between, :within, :with_press, keyword_init: true)
      QUANTITIES = { "press" => Quantity.new(median: 180, between: 0.55, within: 0.25, with_press: 1),
                     "gap" => Quantity.new(median: 220, between: 0.45, within: 0.3, with_press: 0.4),
                     "long" => Quantity.new(median: 1050, between: 0.35, within: 0.25, with_press: 0.4) }.freeze
      # What is said of the spread within beforehand counts as so many presses.
      DEGREES = 6
      # So many trials of a gesture, at quantiles.
      TRIALS = 9
      # Of the standard normal distribution, in the middle of each ninth. R: qnorm((0:8 + .5) / 9).
      QUANTILES = [-1.5932188180, -0.9674215661, -0.5894557978, -0.2822161471, 0, 0.2822161471, 0.5894557978, 0.9674215661,
                   1.5932188180].freeze

      # [mean, spread] of the next value. values – seen; mean, between – of people's own means; within – of one person's values
      def self.predict(values, mean, between, within)
        return [mean, Math.hypot(between, within)] if values.empty?

        # Ghosts and slips lie far out: the median, not the mean.
        own = Statistics.quantile(values, 0.5)
        variance = ((DEGREES * (within**2)) + values.sum { |value| (value - own)**2 }) / (DEGREES + values.size)
        precision = (1 / (between**2)) + (values.size / variance)
        [((mean / (between**2)) + (own * values.size / variance)) / precision, Math.sqrt(variance + (1 / precision))]
      end

      # seen – Seen of the person; kind – of the button
      def initialize(seen, kind)
        @seen = seen
        @kind = kind
      end

      # [Trial] of a gesture.
      def trials(gesture)
        count = PRESSES.fetch(gesture)
        return [] if count.zero?

        length = Seen::LONG.include?(gesture) ? "long" : "press"
        Array.new(TRIALS) do |index|
          gaps = Array.new(count - 1) { |gap| at("gap", index, (gap * 2) + 1) }
          trial(gesture, index, Array.new(count) { |press| at(length, index, press * 2) }, gaps)
        end
      end

      # [mean, spread] of the logarithm of a quantity in ms, of the next press.
      def next_of(name)
        @next ||= {}
        @next[name] ||= begin
          quantity = QUANTITIES.fetch(name)
          shift = name == "press" ? 0 : quantity.with_press * (next_of("press")[0] - Math.log(QUANTITIES["press"].median))
          values = @seen.lengths.fetch(name).map { |value| Math.log(value) }
          General.predict(values, Math.log(quantity.median) + shift, quantity.between, quantity.within)
        end
      end

      private

      # One of a quantity's quantiles; another turn takes them in another order, so that long and short meet.
      def at(name, index, turn)
        mean, spread = next_of(name)
        place = ((index * (turn.zero? ? 1 : 2)) + (turn * 2)) % TRIALS
        [Math.exp(mean + (spread * QUANTILES[place])), 1].max
      end

      def trial(gesture, index, lengths, gaps)
        at = 0
        touches = lengths.each_with_index.map do |length, place|
          from = at
          to = from + (length * 1000).round
          at = to + ((gaps[place] || 0) * 1000).round
          [from, to]
        end
        Trial.new(intended: gesture, rows: rows(opened(haunted(touches, index), index)), weight: 1, data: {}).freeze
      end

      # As often as with the person's other gestures, with a ghost that was seen there.
      def haunted(touches, index)
        gap, length = one_of(@seen.ghosts, index * 4)
        return touches unless gap
        return [[gap - length, gap], *touches] if gap.negative?

        [*touches, [touches.last[1] + gap, touches.last[1] + gap + length]]
      end

      # And with an opening.
      def opened(touches, index)
        after, length = one_of(@seen.openings, (index * 2) + 1)
        (from, to), *others = touches
        return touches unless after && from + after + length < to

        [[from, from + after], [from + after + length, to], *others]
      end

      # Of a list of what was seen with presses, in as many of the trials as it was in theirs.
      def one_of(list, turn)
        place = turn % TRIALS
        return if @seen.presses.zero? || place + 0.5 >= TRIALS * list.size / @seen.presses.to_f

        list[place % list.size].first
      end

      def rows(touches)
        begins = touches[0][0]
        touches.flat_map { |from, to| [row(from - begins, true), row(to - begins, false)] }
      end

      def row(at, down)
        return [at, "level", down ? 1.0 : 0.0] if @kind == "force"

        [at, down ? "down" : "up"]
      end
    end
  end
end
