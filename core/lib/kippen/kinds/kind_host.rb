# frozen_string_literal: true

module Kippen
  class Kinds
    # Checks what a kind that somebody made carries on one sort of host, see Reader.
    class KindHost
      # How many of them it carries at most, where that is known: room is for so many assignments
      # and how large its memory is.
      ROOM = { "places" => Limits::PLACES, "shortlists" => Limits::SHORTLISTS, "assignments" => Limits::ASSIGNMENTS,
               "bytes" => Limits::FITTING_BYTES }.freeze
      # What it can do, by the kind of an action, and in which ways a mode is taken on it, where that is known.
      ABLE = %w[actions mode_ways].freeze
      MEMBERS = ["gestures", "settable", "modes", "double_click_ms", "unsure", *ROOM.keys, *ABLE].freeze
      WORD = /\A[a-z_]{1,20}\z/
      DOUBLE_CLICK = %w[usual from to].freeze
      VALUES = 50

      def initialize(faults) = @faults = faults

      def check(carries, at)
        return fault(at, :must_be_an_object) unless carries.is_a?(Hash)

        (carries.keys - MEMBERS).each { |name| fault("#{at}/#{name}", :not_known_here) }
        gestures(carries["gestures"], "#{at}/gestures")
        fault("#{at}/modes", :must_whole_number, from: 0, to: Limits::MODES) unless whole?(carries["modes"], 0, Limits::MODES)
        fault("#{at}/unsure", :must_be_text_from_to, needed: 1, characters: Reader::TEXT) unless unsure?(carries["unsure"])
        ROOM.each do |name, most|
          fault("#{at}/#{name}", :must_whole_number, from: 0, to: most) unless !carries.key?(name) || whole?(carries[name], 0,
                                                                                                             most)
        end
        ABLE.each { |name| words(carries[name], "#{at}/#{name}") if carries.key?(name) }
        double_click(carries["double_click_ms"], "#{at}/double_click_ms")
        settable(carries["settable"], "#{at}/settable")
      end

      # Some of it, in place of what a kind says: what is missing is as the kind has it; a setting without values takes any.
      def check_part(carries, at)
        (carries.keys - %w[gestures settable modes by at]).each { |name| fault("#{at}/#{name}", :not_known_here) }
        gestures(carries["gestures"], "#{at}/gestures") if carries.key?("gestures")
        unless !carries.key?("modes") || whole?(carries["modes"], 0, Limits::MODES)
          fault("#{at}/modes", :must_whole_number, from: 0, to: Limits::MODES)
        end
        settings = carries.fetch("settable", {})
        settable(settings.is_a?(Hash) ? settings.compact : settings, "#{at}/settable")
      end

      private

      def fault(where, key, **parts) = @faults.add(where, Words.say(key, **parts))

      def gestures(list, at)
        right = list.is_a?(Array) && list.any? && list.uniq == list && (list - Fitting::GESTURES).empty?
        fault(at, :must_array_of_gestures, values: Fitting::GESTURES.join(", ")) unless right
      end

      def words(list, at)
        right = list.is_a?(Array) && list.size <= VALUES && list.all? { |word| word.is_a?(String) && WORD.match?(word) }
        fault(at, :must_array_of_words) unless right
      end

      def unsure?(words) = words.nil? || (words.is_a?(String) && words.strip.length.between?(1, Reader::TEXT))
      def whole?(value, from, to) = value.is_a?(Integer) && value.between?(from, to)

      def double_click(times, at)
        right = times.is_a?(Hash) && times.keys.sort == DOUBLE_CLICK.sort && times.values.all? { |one| whole?(one, 50, 3000) }
        fault(at, :must_whole_number, from: 50, to: 3000) unless right && times["usual"].between?(times["from"], times["to"])
      end

      def settable(settings, at)
        return fault(at, :must_be_an_object) unless settings.is_a?(Hash)

        settings.each do |name, allowed|
          setting = Fitting::Timing::SETTINGS[name]
          next fault("#{at}/#{name}", :not_known_here) unless setting

          unless allowed.is_a?(Hash) && values(allowed)&.none? { |value| Fitting::Timing.fault(setting, value) }
            fault("#{at}/#{name}", :no_settable)
          end
        end
      end

      # What of it must be legal values of the setting, or nil where it says neither of the three.
      def values(allowed)
        case allowed.keys.sort
        when %w[fixed] then [allowed["fixed"]]
        when %w[values] then allowed["values"] if allowed["values"].is_a?(Array) && allowed["values"].size.between?(1, VALUES)
        when %w[from step to] then allowed.values_at("from", "to") if range?(allowed)
        end
      end

      def range?(allowed) = allowed.values.all?(Numeric) && allowed["step"].positive? && allowed["from"] <= allowed["to"]
    end
  end
end
