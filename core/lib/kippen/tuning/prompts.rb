# frozen_string_literal: true

module Kippen
  module Tuning
    # What is asked next: mixed at first, then where it would tell most. The same for the same trials and seed.
    class Prompts
      # intended – a gesture; why – "mixed", "interval" (least is known of it) or "boundary" (some lie close to one)
      Next = Struct.new(:intended, :why)

      # So often each sort is asked before anything is chosen.
      MIXED_ROUNDS = 2
      # Every so many stay mixed, so that nobody can guess what comes.
      MIXED_EVERY = 4
      # A trial lies close to a boundary where it would come out otherwise with it so much shorter or longer.
      CLOSE = 1.15

      # series – Series of the trials so far; timing – { setting => value } by which they are judged; seed – Integer
      def initialize(series, timing, seed)
        @series = series
        @timing = usual.merge(timing)
        @seed = seed
        @replays = Replays.new(series)
      end

      # number – of the prompt, from 0 on; before – what was asked last, the latest last. Returns a Next.
      def at(number, before: [])
        return mixed(number) if number < deck(0).size * MIXED_ROUNDS || (number % MIXED_EVERY).zero?

        # Twice in a row is enough.
        tired = before.last(2).uniq if before.size > 1
        tired = nil unless tired&.one? && sorts.size > 2
        open = sorts - (tired || []) - (rested?(before) ? STILL : [])
        chosen = open.max_by.with_index { |sort, index| [tells(sort), -index] }
        Next.new(chosen, near(chosen) > 0.3 ? "boundary" : "interval").freeze
      end

      # { sort => how many more would halve its 95 % interval, nil where that takes too many }
      def more
        sorts.to_h { |sort| [sort, halving(sort)] }
      end

      # The widest of them: [sort, how many more], or nil.
      def worth
        worth = @series.offered.filter_map { |sort| halving(sort)&.then { |count| [sort, count] } }
        worth.max_by.with_index do |(sort, _), index|
          [width(sort), -index]
        end
      end

      private

      MOST_MORE = 40
      SHUFFLES = 30
      private_constant :MOST_MORE, :SHUFFLES

      def usual = Fitting::Timing::USUAL

      # What is asked at all; of resting less is wanted than of pressing.
      def sorts = @sorts ||= [*@series.offered, *still]
      def still = ["rest", *("carry" if @series.kind == "force")]
      def often = (3.0 / @series.offered.size).ceil
      def rested?(before) = before.last(4).intersect?(STILL)

      def mixed(number)
        round, place = number.divmod((@series.offered.size * often) + still.size)
        Next.new(deck(round)[place], "mixed").freeze
      end

      # Nobody begins with not pressing; the same comes twice in a row only where nothing else can.
      def deck(round)
        random = Random.new((@seed * 1000) + round)
        decks = Array.new(SHUFFLES) { [*(@series.offered * often), *still].shuffle(random:) }
        deck = decks.find { |one| one.each_cons(2).none? { |before, after| before == after } } || decks.first
        round.zero? && STILL.include?(deck.first) ? deck.rotate : deck
      end

      def tells(sort) = width(sort) * (1 + near(sort)) * (STILL.include?(sort) ? 0.5 : 1)

      def of(sort) = @series.trials.select { |trial| trial.intended == sort }

      def width(sort)
        @width ||= {}
        @width[sort] ||= right(sort).then { |count, all| span(count, all) }
      end

      def right(sort)
        of(sort).then { |trials| [@replays.scores(trials, @timing).count { |score| score.verdict == "right" }, trials.size] }
      end

      def span(count, all) = Statistics.wilson(count, all).then { |low, high| high - low }

      # As many again and again with the same share of right ones.
      def halving(sort)
        count, all = right(sort)
        return if all.zero?

        (1..MOST_MORE).find { |more| span(count / all.to_f * (all + more), all + more) <= width(sort) / 2 }
      end

      # The share of trials that lie close to a boundary.
      def near(sort)
        @near ||= {}
        @near[sort] ||= of(sort).then { |trials| trials.empty? ? 0 : trials.count { |trial| near?(trial) }.fdiv(trials.size) }
      end

      def near?(trial)
        verdict = @replays.score(trial, @timing).verdict
        shifted.any? { |timing| @replays.score(trial, timing).verdict != verdict }
      end

      def shifted
        @shifted ||= Fitting::Timing::SETTINGS.values.select(&:duration?).flat_map do |setting|
          value = @timing[setting.name]
          near = [value / CLOSE, value * CLOSE].map { |one| one.round.clamp(setting.range.begin, setting.range.end) }
          (near - [value]).map { |one| @timing.merge(setting.name => one) }
        end
      end
    end
  end
end
