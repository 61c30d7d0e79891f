# frozen_string_literal: true

require "did_you_mean"

module Kippen
  class Search
    # All that can be found in one go, and how many of them have a word. Frozen.
    class Index
      # Words shorter than this are not taken as misspelt; of those shorter than the next, a letter may have been left out;
      # from so many letters on, another may stand for one, and two may be wrong: "staff" is no "stiff".
      LEAST_LETTERS = 4
      LONG = 6
      VERY_LONG = 9
      # Even what everything has says something.
      LEAST_RARITY = 0.1

      attr_reader :topics

      # topics – [Topic]
      def initialize(topics)
        @topics = topics.freeze
        @having = topics.flat_map { |topic| topic.said.values.flatten.uniq }.tally.freeze
        @sorted = @having.keys.sort.freeze
        @rarest = Math.log(topics.size + 1.0) + Math.log(2)
        freeze
      end

      # How much a word says: most where nothing has it.
      def rarity(word)
        if has?(word)
          Math.log((@topics.size + 1.0) / (@having[word] + 0.5)).clamp(LEAST_RARITY, [@rarest, LEAST_RARITY].max)
        else
          @rarest
        end
      end

      def has?(word) = @having.key?(word)

      # Does any word here begin so?
      def begins?(word) = @sorted.bsearch { |one| one >= word }&.start_with?(word) || false

      # Words here, or of others, that are spelt nearly so.
      def spelt_like(word, others)
        return [] if word.size < LEAST_LETTERS

        DidYouMean::SpellChecker.new(dictionary: @sorted + others).correct(word).select do |near|
          near.size >= LEAST_LETTERS && near?(near, word)
        end
      end

      private

      # The first letter is seldom wrong; two that changed places are one mistake.
      def near?(near, word)
        return false unless near[0] == word[0]
        return true if near.size == word.size && near.chars.sort == word.chars.sort

        wrong = DidYouMean::Levenshtein.distance(near, word)
        wrong <= (word.size < VERY_LONG ? 1 : 2) && (word.size >= LONG || near.size > word.size)
      end
    end
  end
end
