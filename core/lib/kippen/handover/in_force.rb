# frozen_string_literal: true

module Kippen
  module Handover
    # The fitting that really works: what is on each device, in place of what the desk says of it.
    module InForce
      LISTS = %w[modes places shortlists].freeze
      NOTHING = { "assignments" => [], "timing" => {}, "modes" => [], "places" => [], "shortlists" => [], "cues" => {},
                  "off" => false, "buttons_off" => [] }.freeze

      module_function

      # on – { device id => what is on it, see Carried#document, or nil: nothing }; one that isn't named is as the desk has it.
      # What speaks of a button that is there no more is left. Returns a Fitting.
      def of(fitting, on)
        given = on.slice(*fitting.devices.map(&:id)).transform_values { |document| document || NOTHING }
        return fitting if given.empty?

        document = given.reduce(fitting.document.except("links", "known")) do |now, (id, carried)|
          put(now, fitting.device(id), carried)
        end
        Fitting.read(document)
      end

      def put(document, device, carried)
        places = same_places(document, carried)
        document.merge(
          "devices" => document["devices"].map { |item| item["id"] == device.id ? device(item, carried) : item },
          "assignments" => others(document, device) + assignments(device, carried, places),
          "button_timing" => timing(document, device, carried),
          "cues" => document.fetch("cues", {}).merge(carried.fetch("cues", {})),
          **LISTS.to_h { |name| [name, list(document, carried, name, places)] }
        )
      end

      def device(item, carried)
        off = carried.fetch("buttons_off", [])
        buttons = item.fetch("buttons", []).map do |one|
          one.except("off").merge(off.include?(one["id"]) ? { "off" => true } : {})
        end
        item.except("off", "timing").merge("buttons" => buttons, "off" => carried.fetch("off", false) ? true : false)
      end

      def others(document, device)
        refs = device.buttons.map(&:ref)
        document.fetch("assignments", []).reject { |item| refs.include?(item["button"]) }
      end

      def assignments(device, carried, places)
        refs = device.buttons.map(&:ref)
        known = carried["assignments"].select { |item| refs.include?(item["button"]) }
        known.map { |item| places.key?(item["place"]) ? item.merge("place" => places[item["place"]]) : item }
      end

      # Each value is said: whatever the desk says of all buttons is none of a device's.
      def timing(document, device, carried)
        usual = Fitting::Timing.from({}).settings
        own = device.buttons.map(&:ref).to_h { |ref| [ref, usual.merge(carried["timing"].fetch(ref, {}))] }
        document.fetch("button_timing", {}).merge(own)
      end

      # A place that was made anew since, under another id: { old id => the id it has now }.
      def same_places(document, carried)
        now = document.fetch("places", []).to_h { |item| [item.values_at("app", "part"), item["id"]] }
        carried["places"].to_h { |item| [item["id"], now[item.values_at("app", "part")]] }
          .select { |old, id| id && id != old }
      end

      # What is on the device is how it is.
      def list(document, carried, name, places)
        theirs = carried[name].reject { |item| name == "places" && places.key?(item["id"]) }
        ids = theirs.map { |item| item["id"] }
        document.fetch(name, []).reject { |item| ids.include?(item["id"]) } + theirs
      end
      private_class_method :put, :device, :others, :assignments, :timing, :same_places, :list
    end
  end
end
