# frozen_string_literal: true

module Kippen
  class Fitting
    # Reads what somebody put right about one button of one device, in place of what its kind says: each member may be
    # missing. See docs/devices.md.
    class CorrectedReader
      include Members

      IS = %w[free needed fixed].freeze
      MEMBERS = %w[is why held_back builtin gestures claims by at].freeze
      CLAIMS = 10

      # item – of a button; kind – the button's; faults are added. Returns the object as it stands, or nil where there is
      # none or it can't be read.
      def self.read(item, kind, pointer, faults)
        reader = new
        given = reader.read(item["corrected"], kind, "#{pointer}/corrected") unless item["corrected"].nil?
        reader.faults.each { |fault| faults.add(fault.where, fault.message) }
        given unless reader.faults.any?
      end

      def initialize = @faults = Faults.new

      def faults = @faults.to_a

      def read(given, kind, pointer)
        return @faults.add(pointer, Words.say(:must_object_put_right)) unless given.is_a?(Hash)

        is(given, pointer)
        flag(given, "held_back", pointer)
        builtin(given, pointer)
        gestures(given["gestures"], kind, pointer) if given.key?("gestures")
        claims(given, pointer)
        %w[by at].each { |key| words(given, key, pointer) }
        given
      end

      private

      def is(given, pointer)
        value = given.key?("is") ? choice(given, "is", IS, pointer, default: "free") : "free"
        words(given, "why", pointer, needed: value != "free")
      end

      def builtin(given, pointer)
        does = given.fetch("builtin", {})
        unless does.is_a?(Hash) && (does.keys - GESTURES).empty?
          return @faults.add("#{pointer}/builtin", Words.say(:must_object_gestures_words))
        end

        does.each_key { |gesture| words(does, gesture, "#{pointer}/builtin", needed: true) }
      end

      # A notch is one step of a wheel: nothing but a tap.
      def gestures(list, kind, pointer)
        known = kind == "notch" ? %w[tap] : GESTURES
        return if list.is_a?(Array) && list.any? && list.uniq == list && (list - known).empty?

        @faults.add("#{pointer}/gestures", Words.say(:must_array_of_gestures, values: known.join(", ")))
      end

      def claims(given, pointer)
        objects(given, "claims", CLAIMS, pointer).each do |claim, at|
          choice(claim, "gesture", GESTURES, at)
          %w[by free_by].each { |key| words(claim, key, at, needed: true) }
          freed = claim["freed"]
          next if freed.nil?

          if freed.is_a?(Hash)
            %w[by at].each { |key| words(freed, key, "#{at}/freed") }
          else
            @faults.add("#{at}/freed", Words.say(:must_object_put_right))
          end
        end
      end
    end
  end
end
