# frozen_string_literal: true

require "date"

module Kippen
  class Fitting
    # Reads what a fitting has besides devices and assignments: who it is for, settings of hosts and
    # devices, saved arrangements, what was taken out. Checked for shape, kept as it is.
    class ExtrasReader
      include Members

      CONFIRM_S = 5..600
      BEARS_MS = (50..5000)
      DAY = /\A\d{4}-\d{2}-\d{2}\z/

      def initialize(document, faults)
        @document = document
        @faults = faults
      end

      def check
        check_client
        check_taken_out
        check_settings("hosts")
        check_settings("devices")
        check_arrangements
        seconds = @document["confirm_s"]
        return if seconds.nil? || (seconds.is_a?(Integer) && CONFIRM_S.cover?(seconds))

        @faults.add("/confirm_s", Words.say(:must_whole_number_from_seconds,
                                            seconds: Faults.show(seconds), from: CONFIRM_S.begin, value: CONFIRM_S.end))
      end

      private

      # Optional, words only.
      def check_client
        client = @document.fetch("client", {})
        return @faults.add("/client", Words.say(:must_be_an_object)) unless client.is_a?(Hash)

        %w[name about].each do |key|
          value = client[key]
          next if value.nil? || (value.is_a?(String) && value.strip != "" && value.length <= Limits::NAME_CHARACTERS)

          @faults.add("/client/#{key}", Words.say(:must_be_text_to, most: Limits::NAME_CHARACTERS))
        end
        check_bears(client["bears_ms"])
        check_next(client["next_visit"])
      end

      # A day, where somebody said so.
      def check_next(day)
        return if day.nil? || (day.is_a?(String) && day.match?(DAY) && day?(day))

        @faults.add("/client/next_visit", Words.say(:must_be_a_day, value: Faults.show(day)))
      end

      def day?(text)
        Date.iso8601(text) && true
      rescue Date::Error
        false
      end

      # How long a wait the client bears, where somebody said so.
      def check_bears(time_ms)
        return if time_ms.nil? || (time_ms.is_a?(Integer) && BEARS_MS.cover?(time_ms))

        @faults.add("/client/bears_ms", Words.say(:is_must_be_whole_from_to, value: Faults.show(time_ms), from: BEARS_MS.begin,
                                                                             to: BEARS_MS.end))
      end

      # What was taken out and may be brought back.
      def check_taken_out
        objects(@document, "taken_out", Limits::TAKEN_OUT).each do |item, pointer|
          @faults.add("#{pointer}/id", Words.say(:must_be_text)) unless item["id"].is_a?(String)
        end
      end

      # Faults of the list itself are told where it is read.
      def check_settings(list)
        objects(@document, list, Limits::DEVICES, faults: Faults.new).each do |item, pointer|
          settings = item.fetch("settings", {})
          if settings.is_a?(Hash) && settings.size <= Limits::SETTINGS && settings.values.all? do |value|
            scalar?(value) || names?(value)
          end
            next
          end

          @faults.add("#{pointer}/settings", Words.say(:must_object_most_numbers_words, most: Limits::SETTINGS))
        end
      end

      def scalar?(value)
        [Integer, Float, TrueClass, FalseClass].any? { |type| value.is_a?(type) } ||
          (value.is_a?(String) && value.length <= Limits::NAME_CHARACTERS)
      end

      # Some of the device's buttons.
      def names?(value)
        value.is_a?(Array) && value.size.between?(1, Kinds::Reader::BUTTONS) && value.all? { |one| Ids.ok?(one) }
      end

      def check_arrangements
        objects(@document, "arrangements", Limits::ARRANGEMENTS).each do |item, pointer|
          words(item, "name", pointer, needed: true)
          @faults.add("#{pointer}/id", Words.say(:must_be, value: Ids::ALLOWED)) unless Ids.ok?(item["id"])
          objects(item, "parts", Limits::ASSIGNMENTS, pointer).each { |part, at| check_part(part, at) }
        end
      end

      def check_part(part, pointer)
        unless GESTURES.include?(part["gesture"])
          @faults.add("#{pointer}/gesture",
                      Words.say(:must_be_one_of, value: Faults.show(part["gesture"]), values: GESTURES.join(", ")))
        end
        action = part["action"]
        return if action.is_a?(Hash) && action["kind"].is_a?(String)

        @faults.add("#{pointer}/action", Words.say(:must_object_with_kind))
      end
    end
  end
end
