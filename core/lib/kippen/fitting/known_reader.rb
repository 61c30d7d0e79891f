# frozen_string_literal: true

module Kippen
  class Fitting
    # Reads the findings that somebody knows of and wants so. Checked for shape, kept as they are: what they speak of may be
    # there no more.
    class KnownReader
      include Members

      # Of a finding's place and figures, so many.
      MEMBERS = 12

      def initialize(document, faults)
        @document = document
        @faults = faults
      end

      # [{ "id", "finding", "where", "why", "by", "at", "rested" => { "bad", "figures", "mark" } }]
      def known
        read = objects(@document, "known", Limits::KNOWN)
        read.each { |item, pointer| check(item, pointer) }
        items = read.map(&:first)
        twice = items.map { |item| item["id"] }.tally.select { |_, times| times > 1 }
        twice.each { |id, times| @faults.add("/known", Words.say(:id_used_times, id: Faults.show(id), what: times)) }
        items.freeze
      end

      private

      def check(item, pointer)
        %w[id finding].each do |name|
          @faults.add("#{pointer}/#{name}", Words.say(:must_be, value: Ids::ALLOWED)) unless Ids.ok?(item[name])
        end
        words(item, "why", pointer, needed: true)
        %w[by at].each { |name| words(item, name, pointer) }
        plain(item["where"], "#{pointer}/where", [String])
        rested(item["rested"], "#{pointer}/rested")
      end

      def rested(rested, pointer)
        return @faults.add(pointer, Words.say(:must_be_an_object)) unless rested.is_a?(Hash)

        choice(rested, "bad", Check::BAD, pointer)
        words(rested, "mark", pointer, needed: true)
        plain(rested["figures"], "#{pointer}/figures", [String, Numeric])
      end

      # An object of short values of some types.
      def plain(value, pointer, types)
        right = value.is_a?(Hash) && value.size <= MEMBERS && value.each_value.all? do |one|
          types.any? { |type| one.is_a?(type) } && one.to_s.length <= Limits::NAME_CHARACTERS
        end
        @faults.add(pointer, Words.say(:must_object_most_numbers_words, most: MEMBERS)) unless right
      end
    end
  end
end
