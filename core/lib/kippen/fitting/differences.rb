# frozen_string_literal: true

module Kippen
  class Fitting
    # What is different between two fittings of one client, in words a person can check.
    class Differences
      LISTS = { "wants" => "Want", "hosts" => "Host", "modes" => "Mode", "places" => "Place", "hands" => "Stand-in hand",
                "arrangements" => "Arrangement" }.freeze
      # Members of a device that are told by name; its buttons are told one by one.
      DEVICE = { "name" => "name", "host" => "host", "on" => "seat", "version" => "version", "worked_with" => "worked with",
                 "mounting" => "mounting", "posture" => "posture", "variant" => "variant" }.freeze

      WORDS = { true => "on", false => "off" }.freeze

      # catalogue – names the actions
      def initialize(before, after, catalogue)
        @before = before
        @after = after
        @catalogue = catalogue
      end

      # [sentence…], empty where nothing differs
      def words
        [*client, *lists, *devices, *assignments, *timings, *links].uniq
      end

      private

      def client
        one, other = [@before, @after].map { |fitting| fitting.document.fetch("client", {}) }
        one == other ? [] : ["The client is now: #{other.values_at("name", "about").compact.join(", ")}."]
      end

      def lists
        LISTS.flat_map do |member, word|
          by_id(member) { |one, other| listed(word, one, other) }
        end
      end

      # Yields what stood under an id before and what stands there now.
      def by_id(member)
        one, other = [@before, @after].map { |fitting| fitting.list(member).to_h { |item| [item["id"], item] } }
        (one.keys | other.keys).flat_map { |id| one[id] == other[id] ? [] : Array(yield(one[id], other[id])) }
      end

      def listed(word, one, other)
        name = called(other || one)
        return "#{word} added: #{name}." unless one
        return "#{word} removed: #{name}." unless other

        told = settings(name, one.fetch("settings", {}), other.fetch("settings", {}), "its own")
        one.except("settings") == other.except("settings") ? told : ["#{word} changed: #{name}.", *told]
      end

      def called(item) = item["name"] || item["what"] || item["id"]

      def devices = by_id("devices") { |one, other| one && other ? device(one, other) : listed("Device", one, other) }

      def device(one, other)
        name = called(other)
        told = DEVICE.filter_map { |key, word| "#{name}, #{word}: #{shown(other[key])}." unless one[key] == other[key] }
        told << "#{name} is switched #{other["off"] ? "off" : "on"}." unless !!one["off"] == !!other["off"]
        told.concat(steps(name, one.fetch("ready", {}), other.fetch("ready", {})))
        told.concat(settings(name, one.fetch("settings", {}), other.fetch("settings", {}), "its own"))
        told.concat(buttons(name, one, other))
      end

      def shown(value) = value.is_a?(Hash) ? value.values.join(", ") : value || "none"

      def steps(name, one, other)
        (one.keys | other.keys).filter_map do |step|
          "#{name}, getting ready: #{step} is #{other[step] ? "done" : "not done"}." unless one[step] == other[step]
        end
      end

      def buttons(name, one, other)
        before, after = [one, other].map { |device| device.fetch("buttons", []).to_h { |button| [button["id"], button] } }
        (before.keys | after.keys).filter_map do |id|
          next if before[id] == after[id]

          Array(listed("Button", before[id], after[id])).first.sub(": ", ": #{name}, ")
        end
      end

      def assignments
        one, other = [@before, @after].map { |fitting| fitting.assignments.to_h { |item| [[item.button, item.gesture, item.place, item.mode], item] } }
        (one.keys | other.keys).filter_map { |spot| assignment(spot, one[spot], other[spot]) }
      end

      def assignment(spot, one, other)
        return if one && other && [one.action, one.at_once, one.off, one.repeat] == [other.action, other.at_once, other.off, other.repeat]

        where = spot_words(spot)
        return "#{where}: #{named(other)}#{" (at once)" if other.at_once}#{" (switched off)" if other.off}." if other

        "#{where}: no longer #{named(one)}."
      end

      def named(assignment) = @catalogue.name(assignment.action, @after.button(assignment.button)&.builtin)

      def spot_words((button, gesture, place, mode))
        where = [button_words(button), Words::GESTURES.fetch(gesture)]
        where << "in #{@after.place(place)&.name || place}" unless place == EVERYWHERE
        where << "mode #{@after.mode(mode)&.name || mode}" unless mode == BASE
        where.join(", ")
      end

      def button_words(ref)
        fitting = @after.button(ref) ? @after : @before
        button = fitting.button(ref)
        device = button && fitting.device(button.device)
        button ? "#{device.name || device.id}, #{button.name || button.id}" : ref
      end

      def timings
        common = settings("For all buttons", @before.document.fetch("timing", {}), @after.document.fetch("timing", {}))
        one, other = [@before, @after].map { |fitting| fitting.document.fetch("button_timing", {}) }
        common + (one.keys | other.keys).flat_map { |ref| settings(button_words(ref), one.fetch(ref, {}), other.fetch(ref, {})) }
      end

      # unset – how a value is told that is not there any more
      def settings(whose, one, other, unset = "as for all")
        (one.keys | other.keys).filter_map do |name|
          next if one[name] == other[name]

          unit = name.end_with?("_ms") ? " ms" : ""
          value = other.key?(name) ? "#{WORDS.fetch(other[name], other[name])}#{unit}" : unset
          "#{whose}, #{name.delete_suffix("_ms").tr("_", " ")}: #{value}."
        end
      end

      def links
        one, other = [@before, @after].map { |fitting| fitting.links.map { |link| link.to_h.slice(:from, :to) } }
        (other - one).map { |link| "#{device_name(link[:to])} follows #{device_name(link[:from])}." } +
          (one - other).map { |link| "#{device_name(link[:to])} no longer follows #{device_name(link[:from])}." }
      end

      def device_name(id) = (@after.device(id) || @before.device(id))&.name || id
    end
  end
end
