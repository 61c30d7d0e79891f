# frozen_string_literal: true

module Kippen
  class Search
    # How well what can be found fits what was asked.
    class Rating
      # What a word is worth by where it is found; a whole one, and the beginning of one.
      WORTH = { name: [1.0, 0.55], of: [0.65, 0.35], words: [0.6, 0.25] }.freeze
      # What is called just so goes before what is called so among other things.
      WHOLE_NAME = 0.35
      # The beginning of a word may be that of another one.
      BEGINNING = 0.7
      NONE = [0, 0].freeze
      # Shorter beginnings of words say little.
      LEAST_LETTERS = 2

      # asked – [Language::Asked]; least – what must be met of their weight; the block – does a word say nothing?
      def initialize(index, asked, least, &small)
        @index = index
        @asked = asked
        @least = least
        @small = small
        @all = asked.sum(&:weight)
      end

      # How well a topic fits, or nil where too little is met.
      def of(topic)
        found = @asked.map do |one|
          one.meanings.map { |word, share| worth(topic, word, one.last).then { |worth, met| [share * worth, met] } }.max
        end
        met = sum(found, 1)
        return if met < @least || met.zero?

        met * (sum(found, 0) + (WHOLE_NAME * @all * named(topic)))
      end

      private

      def sum(found, of) = @asked.zip(found).sum { |one, values| one.weight * values[of] }

      # How much of a topic's name is met, by what its words say: 0…1.
      def named(topic)
        words = topic.said[:name].reject(&@small).to_h { |word| [word, @index.rarity(word)] }
        return 0 if words.empty?

        words.sum { |word, weight| @asked.any? { |one| one.meanings.key?(word) } ? weight : 0 } / words.values.sum
      end

      # [what it is worth that a topic has a word, how far the word is met]
      # last – the word may still be being typed; before, only names are known by their beginnings
      def worth(topic, word, last)
        topic.said.map do |place, list|
          whole, beginning = WORTH.fetch(place)
          next [whole, 1] if list.include?(word)

          if (last || place != :words) && word.size >= LEAST_LETTERS && list.any? { |one| one.start_with?(word) }
            [beginning, BEGINNING]
          else
            NONE
          end
        end.max
      end
    end
  end
end
