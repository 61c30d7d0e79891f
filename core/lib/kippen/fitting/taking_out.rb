# frozen_string_literal: true

module Kippen
  class Fitting
    # Taking a device or a button out, and bringing it back with everything it had.
    # What was taken out lies in the document's "taken_out", newest last.
    module TakingOut
      module_function

      # id – a device's id, or a button's ref. What sits on a device goes with it.
      def take_out(fitting, id)
        id.include?("/") ? take_button(fitting, id) : take_device(fitting, id)
      end

      # Brings back what take_out took; where its host or its seat has gone, that is said.
      def bring_back(fitting, id)
        bundle = fitting.list("taken_out").reverse.find { |item| item["id"] == id }
        raise Invalid.at("/change/id", "nothing by the name #{Faults.show(id)} was taken out") unless bundle

        rest = fitting.list("taken_out") - [bundle]
        members = { "taken_out" => rest, "assignments" => fitting.list("assignments") + bundle["assignments"],
                    "button_timing" => fitting.document.fetch("button_timing", {}).merge(bundle["button_timing"]),
                    "links" => fitting.list("links") + bundle.fetch("links", []) }
        fitting.with(members.merge("devices" => devices_with(fitting, bundle)))
      end

      def take_device(fitting, id)
        raise Invalid.at("/change/id", "no device #{Faults.show(id)}") unless fitting.device(id)

        ids = [id, *DeviceEdits.riders(fitting, id)]
        gone, devices = fitting.list("devices").partition { |item| ids.include?(item["id"]) }
        refs = fitting.buttons.select { |button| ids.include?(button.device) }.map(&:ref)
        links, kept = fitting.list("links").partition { |link| ids.intersect?(link.values_at("from", "to")) }
        set_aside(fitting, refs, { "id" => id, "name" => fitting.device(id).name || id, "devices" => gone, "links" => links }, "devices" => devices,
                                                                                                                               "links" => kept)
      end

      def take_button(fitting, ref)
        button = fitting.button(ref) || raise(Invalid.at("/change/id", "unknown button #{Faults.show(ref)}"))
        item = fitting.list("devices").find { |device| device["id"] == button.device }
        index = item["buttons"].index { |one| one["id"] == button.id }
        devices = fitting.list("devices").map { |device| device == item ? without_button(device, button.id) : device }
        bundle = { "id" => ref, "name" => button.name || button.id, "device" => button.device, "button" => item["buttons"][index], "index" => index }
        set_aside(fitting, [ref], bundle, "devices" => devices)
      end

      # Puts assignments and timing of the buttons into the bundle, and the bundle aside.
      def set_aside(fitting, refs, bundle, members)
        gone, assignments = fitting.list("assignments").partition { |item| refs.include?(item["button"]) }
        timing = fitting.document.fetch("button_timing", {})
        bundle = bundle.merge("assignments" => gone, "button_timing" => timing.slice(*refs))
        fitting.with(members.merge("assignments" => assignments, "button_timing" => timing.except(*refs),
                                   "taken_out" => (fitting.list("taken_out") + [bundle]).last(Limits::TAKEN_OUT)))
      end

      def devices_with(fitting, bundle)
        return fitting.list("devices") + bundle["devices"] if bundle["devices"]

        raise Invalid.at("/change/id", "its device #{bundle["device"]} is not there: bring that back first") unless fitting.device(bundle["device"])

        fitting.list("devices").map { |device| device["id"] == bundle["device"] ? with_button(device, bundle) : device }
      end

      # At the place it had, as far as that is still there.
      def with_button(device, bundle)
        buttons = device["buttons"].dup
        device.merge("buttons" => buttons.insert([bundle["index"], buttons.size].min, bundle["button"]))
      end

      def without_button(device, id) = device.merge("buttons" => device["buttons"].reject { |one| one["id"] == id })
    end
  end
end
