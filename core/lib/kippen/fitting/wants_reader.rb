# frozen_string_literal: true

module Kippen
  class Fitting
    # Reads the wants of a fitting against its hosts and places.
    class WantsReader
      include Members

      WRONG = %w[nothing nuisance serious dangerous].freeze
      IMPORTANCE = %w[must should could].freeze
      TIMES_A_DAY = 0..1000

      def initialize(document, faults, hosts, places)
        @document = document
        @faults = faults
        @hosts = hosts.map(&:id)
        @places = [EVERYWHERE, *places.map(&:id)]
      end

      def wants
        found = objects(@document, "wants", Limits::WANTS).filter_map { |item, pointer| want(item, pointer) }
        unique("/wants", found)
        found.freeze
      end

      private

      def want(item, pointer)
        id = item["id"]
        @faults.add("#{pointer}/id", Words.say(:must_be_like, value: Faults.show(id), allowed: Ids::ALLOWED)) unless Ids.ok?(id)
        what = words(item, "what", pointer, needed: true)
        place = one_of(item, "place", @places, pointer, default: EVERYWHERE)
        Want.new(id:, what:, place:, hosts: hosts(item, pointer), times_a_day: times(item, pointer),
                 wrong: choice(item, "wrong", WRONG, pointer, default: "nuisance"), asked_by: words(item, "asked_by", pointer),
                 importance: choice(item, "importance", IMPORTANCE, pointer, default: "should"),
                 second_way: item.key?("second_way") ? flag(item, "second_way", pointer) : nil,
                 action: action(item, pointer)).freeze
      end

      def hosts(item, pointer)
        list = item.fetch("hosts", [])
        return @faults.add("#{pointer}/hosts", Words.say(:must_array_hosts)) || [] unless list.is_a?(Array)

        (list - @hosts).each { |id| @faults.add("#{pointer}/hosts", Words.say(:unknown_host, host: Faults.show(id))) }
        list.freeze
      end

      def times(item, pointer)
        value = item["times_a_day"]
        return value if value.nil? || (value.is_a?(Integer) && TIMES_A_DAY.cover?(value))

        @faults.add("#{pointer}/times_a_day", Words.say(:must_be_whole_to, value: Faults.show(value), to: TIMES_A_DAY.end))
      end

      def action(item, pointer)
        value = item["action"]
        return value if value.nil? || (value.is_a?(Hash) && value["kind"].is_a?(String) && !value["kind"].empty?)

        @faults.add("#{pointer}/action", Words.say(:must_object_with_kind))
      end
    end
  end
end
