# frozen_string_literal: true

module Kippen
  class Search
    # What some words together stand for. Frozen.
    class Phrases
      # So many words may stand between two that belong together: "turn the telly up".
      BETWEEN = 3

      # phrases, parted – { said => meant }; of the parted, two words, others may stand between
      def initialize(phrases, parted)
        @phrases = of(phrases).sort_by { |said, _| -said.size }.freeze
        @parted = of(parted).freeze
        freeze
      end

      # Takes the words said. Returns the words meant.
      def in(words)
        result = []
        words = together(words)
        until words.empty?
          said, meant = @phrases.find { |phrase, _| words.first(phrase.size) == phrase }
          result.concat(meant || words.first(1))
          words = words.drop(said ? said.size : 1)
        end
        result
      end

      private

      def of(phrases) = phrases.to_h { |said, meant| [Spoken.words(said), Spoken.words(meant)] }

      # With what is parted put in one place.
      def together(words)
        words.each_with_index do |word, first|
          ((first + 1)..[first + 1 + BETWEEN, words.size - 1].min).each do |second|
            meant = @parted[[word, words[second]]] or next
            return words.first(first) + meant + together(words[(first + 1)...second] + words.drop(second + 1))
          end
        end
        words
      end
    end
  end
end
