# frozen_string_literal: true

module Kippen
  class Search
    # Words as they are compared: without accents, apostrophes, case and endings.
    module Spoken
      WORD = /[\p{L}\p{N}]+(?:-[\p{L}\p{N}]+)*/
      # What is left of a word has so many letters: "bed" keeps its ending.
      LEAST = 3

      def self.words(text) = plain(text).scan(WORD).map { |word| stem(word) }

      # "touches", "touching" and "touched" are one word, "quickly" is "quick". Rough: what it makes of a word only has to
      # be the same everywhere.
      def self.stem(word)
        word = plain(word)
        case word
        when /\A(.{#{LEAST},})ies\z/ then "#{Regexp.last_match(1)}y"
        when /\A(.{#{LEAST},}(?:ch|sh|s|x|z))es\z/, /\A(.{#{LEAST - 1},}[^siu])s\z/ then Regexp.last_match(1)
        when /\A(.*[aeiouy].*)(?:ing|ly|(?<!e)ed)\z/ then Regexp.last_match(1).size >= LEAST ? single(Regexp.last_match(1)) : word
        else word
        end
      end

      def self.plain(text)
        text.ascii_only? ? text.downcase.delete("'") : text.unicode_normalize(:nfkd).downcase(:fold).gsub(/[\p{Mn}'’]/, "")
      end

      # "stopp" of "stopped" is "stop".
      def self.single(stem) = stem.sub(/([bdgmnprt])\1\z/, '\1')
      private_class_method :single

      # The same for many texts that have much in common: each word is made out once.
      class Often
        def initialize
          @texts = Hash.new { |texts, text| texts[text] = Spoken.plain(text).scan(WORD).map { |word| @stems[word] }.uniq.freeze }
          @stems = Hash.new { |stems, word| stems[word] = Spoken.stem(word) }
        end

        def words(text) = @texts[text]
      end
    end
  end
end
