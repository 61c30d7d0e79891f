# frozen_string_literal: true

module Kippen
  class Fitting
    # Reads the shortlists of a fitting and the cues its client gets.
    class ShortlistsReader
      include Members

      WORKS = %w[open step].freeze
      ITEMS = 50

      def initialize(document, faults, hosts)
        @document = document
        @faults = faults
        @hosts = hosts.map(&:id)
      end

      def shortlists
        found = objects(@document, "shortlists", Limits::SHORTLISTS).filter_map { |item, pointer| shortlist(item, pointer) }
        unique("/shortlists", found)
        found.freeze
      end

      # { what happened => ways to tell it }
      def cues
        given = @document.fetch("cues", {})
        return @faults.add("/cues", Words.say(:must_be_an_object)) || {} unless given.is_a?(Hash)

        quiet(given["quiet"]) if given.key?("quiet")
        given.slice(*Cues::EVENTS).each { |event, ways| ways(event, ways) }
        given
      end

      private

      def shortlist(item, pointer)
        unless Ids.ok?(item["id"])
          return @faults.add("#{pointer}/id", Words.say(:must_be_like, value: Faults.show(item["id"]), allowed: Ids::ALLOWED))
        end

        host = item.fetch("host") { @hosts.first }
        @faults.add("#{pointer}/host", Words.say(:unknown_host, host: Faults.show(host))) unless @hosts.include?(host)
        items = objects(item, "items", ITEMS, pointer).filter_map { |one, at| line(one, at) }
        Shortlist.new(id: item["id"], name: words(item, "name", pointer), host:,
                      works: choice(item, "works", WORKS, pointer, default: "open"),
                      locked: flag(item, "locked", pointer), items: items.freeze).freeze
      end

      def line(item, pointer)
        action = item["action"]
        unless action.is_a?(Hash) && action["kind"].is_a?(String)
          return @faults.add("#{pointer}/action", Words.say(:must_object_with_kind))
        end

        ShortlistItem.new(action:, name: words(item, "name", pointer)).freeze
      end

      def ways(event, ways)
        return if ways.is_a?(Array) && (ways - Cues::WAYS).empty? && ways.uniq == ways

        @faults.add("/cues/#{event}", Words.say(:must_be_an_array_of, allowed: Cues::WAYS.join(", ")))
      end

      def quiet(hours)
        times = hours.is_a?(Hash) ? hours.values_at("from", "to") : [nil]
        return if hours.nil? || times.all? { |time| time.is_a?(String) && Cues::TIME.match?(time) }

        @faults.add("/cues/quiet", Words.say(:must_be_from_to_times))
      end
    end
  end
end
