# frozen_string_literal: true

module Kippen
  class Fitting
    # Reads a fitting from its JSON object: shape first, then what refers to what.
    # Refuses it whole, with every fault, or returns a frozen Fitting.
    class Reader
      include Members

      def initialize(document)
        @document = document
        @faults = Faults.new
      end

      def fitting
        check_envelope
        lists = ListReader.new(@document, @faults)
        hosts = lists.hosts
        devices = lists.devices(hosts)
        modes = lists.modes
        places = lists.places
        buttons = devices.flat_map(&:buttons).to_h { |button| [button.ref, button] }
        assignments = AssignmentReader.new(@document, @faults, buttons:, modes:, places:).assignments
        seats = SeatsReader.new(@document, @faults, devices)
        seats.check_seats
        links = seats.links
        others = { timings: read_timings(buttons), **others(hosts, places) }
        ExtrasReader.new(@document, @faults).check
        @faults.raise_any
        Fitting.new(document: deep_freeze(@document), hosts:, devices:, modes:, places:, assignments:, links:, **others)
      end

      private

      # What speaks of hosts and places at most.
      def others(hosts, places)
        extra = ShortlistsReader.new(@document, @faults, hosts)
        { known: KnownReader.new(@document, @faults).known,
          wants: WantsReader.new(@document, @faults, hosts, places).wants, hands: HandsReader.new(@document, @faults).hands,
          declared_apps: AppsReader.new(@document, @faults).apps, shortlists: extra.shortlists, cues: extra.cues,
          follow: choice(@document, "follow", FOLLOW, "", default: "pointer") }
      end

      def check_envelope
        raise Invalid.at("", Words.say(:must_json_object_fitting)) unless @document.is_a?(Hash)
        return if @document["kippen"] == FORMAT

        raise Invalid.at("/kippen", Words.say(:must_be_like, value: Faults.show(@document["kippen"]), allowed: FORMAT.inspect))
      end

      # The defaults, then what holds for all, for a device, for a button: the closest goes before.
      def read_timings(buttons)
        common = settings("/timing", @document.fetch("timing", {}))
        check_levels("/timing", common)
        own = @document.fetch("button_timing", {})
        unless own.is_a?(Hash)
          @faults.add("/button_timing", Words.say(:must_be_an_object))
          own = {}
        end
        of_devices = device_timings(common)
        of_devices.default = common
        given = own.to_h { |ref, part| [ref, button_settings(ref, part, buttons, of_devices)] }
        made = Hash.new { |all, settings| all[settings] = Timing.from(settings) }.compare_by_identity
        buttons.transform_values { |button| made[given.fetch(button.ref) { of_devices[button.device] }] }
      end

      # { device => settings } of devices that have timing of their own. Faults of the list itself are told elsewhere.
      def device_timings(common)
        items = @document.fetch("devices", [])
        return {} unless items.is_a?(Array)

        timed = items.each_with_index.select { |item, _| item.is_a?(Hash) && item.key?("timing") }
        timed.to_h { |item, index| [item["id"], merged("/devices/#{index}/timing", item["timing"], common)] }
      end

      def button_settings(ref, part, buttons, of_devices)
        pointer = "/button_timing/#{escape(ref)}"
        @faults.add(pointer, Words.say(:unknown_button_here)) unless buttons.key?(ref)
        merged(pointer, part, of_devices[buttons[ref]&.device])
      end

      def merged(pointer, part, common)
        merged = common.merge(settings(pointer, part))
        check_levels(pointer, merged)
        merged
      end

      # Keeps the settings that are right; tells those that are not.
      def settings(pointer, part)
        unless part.is_a?(Hash)
          @faults.add(pointer, Words.say(:must_be_an_object))
          return {}
        end
        part.select do |name, value|
          setting = Timing::SETTINGS[name] or next
          fault = Timing.fault(setting, value)
          @faults.add("#{pointer}/#{name}", fault) if fault
          !fault
        end
      end

      def check_levels(pointer, settings)
        return if Timing.from(settings).levels_ok?

        @faults.add(pointer, Words.say(:press_release_must_obey_release))
      end

      # A name as a step of a JSON pointer (RFC 6901).
      def escape(name) = name[0, 140].gsub("~", "~0").gsub("/", "~1")

      def deep_freeze(value)
        case value
        when Hash then value.each { |key, item| [key, item].each { |part| deep_freeze(part) } }
        when Array then value.each { |item| deep_freeze(item) }
        end
        value.freeze
      end
    end
  end
end
