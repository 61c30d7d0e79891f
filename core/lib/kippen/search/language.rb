# frozen_string_literal: true

module Kippen
  class Search
    # What words stand for, and which of them say little. Data: core/data/synonyms.json. Frozen.
    class Language
      FORMAT = "synonyms/1"
      # What only stands for a word, or is spelt nearly so, is worth less.
      STANDS_FOR = 0.8
      # Words such as "off" or "change" say little beside others.
      WEAK = 0.3

      # One word that was said. meanings – { what it may be => what that is worth }; weight – how much it says;
      # last – is it the last one, which may still be being typed?
      Asked = Struct.new(:meanings, :weight, :last)

      # text – JSON. Raises Invalid.
      def self.read(text)
        document = Formats::StrictJson.read(text, limit: Limits::FITTING_BYTES)
        unless document.is_a?(Hash) && document["kippen"] == FORMAT
          raise Invalid.at("/kippen", Words.say(:must_be, value: FORMAT))
        end

        new(document)
      end

      def initialize(document)
        @drop, @weak, @ask, @complaint = document.values_at("drop", "weak", "ask", "complaint").map do |list|
          list.to_h { |word| [Spoken.stem(word), true] }.freeze
        end
        @phrases = Phrases.new(document.fetch("phrases"), document.fetch("parted"))
        @words = document.fetch("words")
          .to_h { |word, list| [Spoken.stem(word), list.flat_map { |meant| Spoken.words(meant) }] }.freeze
        freeze
      end

      # Does it sound as if something were not right?
      def complaint?(said) = Spoken.words(said).any? { |word| @complaint[word] }

      # Does a word say nothing of what is meant?
      def small?(word) = @drop.key?(word)

      # [Asked]
      def asked(index, said)
        meant = @phrases.in(Spoken.words(said))
        kept = meant.reject { |word| small?(word) }
        kept = meant if kept.empty?
        kept = kept.select { |word| index.has?(word) || !(small?(word) || @weak[word]) }
        kept.each_with_index.map do |word, place|
          meanings = meanings(index, word)
          Asked.new(meanings, weight(index, meanings) * (little?(index, kept, place) ? WEAK : 1), place == kept.size - 1)
        end
      end

      private

      # A word that nothing here has says most: what was meant isn't here.
      def weight(index, meanings) = meanings.keys.map { |one| index.rarity(one) }.min

      # Who is called, or what is written, is nobody's name here.
      def little?(index, words, place)
        word = words[place]
        @weak[word] || small?(word) ||
          (words.first(place).any? { |before| @ask[before] } && !@words.key?(word) && !index.begins?(word))
      end

      def meanings(index, word)
        known = { word => 1.0 }.merge(standing_for(word)) { |_, own, _| own }
        return known if known.size > 1 || index.begins?(word) || @weak[word]

        index.spelt_like(word, @words.keys).reduce(known) { |all, near| all.merge({ near => STANDS_FOR }, standing_for(near)) }
      end

      def standing_for(word) = @words.fetch(word, []).to_h { |other| [other, STANDS_FOR] }
    end
  end
end
