# frozen_string_literal: true

module Kippen
  class Fitting
    # Reads what somebody put right about one host, in place of what hosts of its sort are: each member may be missing.
    # lines – of a shortlist it shows; steps – how many it does by one press; keeps – combinations that it keeps for itself,
    # [{ "keys", "why" }]
    class CorrectedHost
      include Members

      LINES = 1..50
      STEPS = 1..Steps::COUNT.last
      KEEPS = 50
      MEMBERS = %w[lines steps keeps by at].freeze

      # item – of a host; faults are added. Returns the object as it stands, or nil where there is none or it can't be read.
      def self.read(item, pointer, faults)
        return if item["corrected"].nil?

        reader = new
        reader.check(item["corrected"], "#{pointer}/corrected")
        reader.faults.each { |fault| faults.add(fault.where, fault.message) }
        item["corrected"] if reader.faults.empty?
      end

      def initialize = @faults = Faults.new

      def faults = @faults.to_a

      def check(given, pointer)
        return @faults.add(pointer, Words.say(:must_be_an_object)) unless given.is_a?(Hash)

        whole(given, "lines", LINES, pointer)
        whole(given, "steps", STEPS, pointer)
        kept = objects(given, "keeps", KEEPS, pointer)
        kept.each { |one, at| keeps(one, at) }
        %w[by at].each { |key| words(given, key, pointer) }
      end

      private

      def whole(given, key, range, pointer)
        value = given[key]
        return if value.nil? || (value.is_a?(Integer) && range.cover?(value))

        @faults.add("#{pointer}/#{key}", Words.say(:must_whole_number, from: range.first, to: range.last))
      end

      def keeps(one, pointer)
        fault = Catalogue::Combination.fault(one["keys"])
        @faults.add("#{pointer}/keys", fault) if fault
        words(one, "why", pointer, needed: true)
      end
    end
  end
end
