# frozen_string_literal: true

module Kippen
  class Catalogue
    # Finds actions by what people say. Data: core/data/synonyms.json. Frozen.
    #
    # What is said loses its small words; phrases and words are also taken as what they stand for. Found is
    # whatever has most of what is left; of these, what is called so goes before what is only known by it.
    class Search
      FORMAT = "synonyms/1"
      # What a word is worth by where it is found; a whole one, and the beginning of one.
      WORTH = { name: [10, 6], app: [6, 3], words: [5, 2] }.freeze
      # What only stands for a word is worth less.
      STANDS_FOR = 0.8
      # What is called just so goes before what is called so among other things.
      WHOLE_NAME = 5
      # Shorter beginnings of words say little.
      LEAST_LETTERS = 2

      # text – the JSON of the synonyms. Raises Invalid.
      def self.read(text)
        document = Formats::StrictJson.read(text, limit: Limits::FITTING_BYTES)
        raise Invalid.at("/kippen", Words.say(:must_be, value: FORMAT)) unless document.is_a?(Hash) && document["kippen"] == FORMAT

        new(document)
      end

      # Words as they are compared: without accents, apostrophes and case.
      def self.words(text) = text.unicode_normalize(:nfkd).downcase(:fold).gsub(/[\p{Mn}'’]/, "").scan(/[\p{L}\p{N}]+(?:-[\p{L}\p{N}]+)*/)

      def initialize(document)
        @drop = document.fetch("drop").to_h { |word| [word, true] }.freeze
        @phrases = document.fetch("phrases").transform_keys { |said| Search.words(said) }.transform_values { |words| Search.words(words) }
          .sort_by { |said, _| -said.size }.freeze
        @words = document.fetch("words").transform_values { |list| list.map { |words| Search.words(words) }.flatten }.freeze
        freeze
      end

      # Takes [Entry] and what was said. Returns those found, the best first; all where nothing was said.
      def find(entries, said)
        asked = asked(said)
        return entries if asked.empty?

        rated = entries.each_with_index.map { |entry, place| [*rate(entry, asked), -place, entry] }
        most = rated.map(&:first).max.to_i
        return [] if most.zero?

        rated.select { |count, *| count == most }.sort_by { |count, worth, place, _| [-count, -worth, -place] }.map(&:last)
      end

      private

      # [{ word => worth }] of what is looked for.
      def asked(said)
        words = Search.words(said)
        meant = phrases(words)
        meant = meant.reject { |word| @drop[word] }.then { |kept| kept.empty? ? words : kept }
        meant.map { |word| @words.fetch(word, []).to_h { |other| [other, STANDS_FOR] }.merge(word => 1.0) }
      end

      def phrases(words)
        result = []
        until words.empty?
          said, meant = @phrases.find { |phrase, _| words.first(phrase.size) == phrase }
          result.concat(meant || words.first(1))
          words = words.drop(said ? said.size : 1)
        end
        result
      end

      # [how many of the words are there, what they are worth]
      def rate(entry, asked)
        places = entry.said
        found = asked.map { |alternatives| alternatives.map { |word, share| share * worth(places, word) }.max }
        named = places[:name].count { |word| asked.any? { |alternatives| alternatives.key?(word) } }
        [found.count(&:positive?), found.sum + (WHOLE_NAME * named.fdiv([places[:name].size, 1].max))]
      end

      def worth(places, word)
        places.map do |place, list|
          whole, beginning = WORTH.fetch(place)
          next whole if list.include?(word)

          word.size >= LEAST_LETTERS && list.any? { |one| one.start_with?(word) } ? beginning : 0
        end.max
      end
    end
  end
end
