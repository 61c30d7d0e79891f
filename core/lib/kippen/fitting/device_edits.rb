# frozen_string_literal: true

module Kippen
  class Fitting
    # Changes to devices and their buttons. Each takes a valid Fitting and returns a new
    # one. Raises Invalid.
    module DeviceEdits
      # What may be set of a device, and of a button, by hand.
      DEVICE = %w[name host on variant version worked_with mounting posture off].freeze
      BUTTON = %w[name print off signal worked_with codes].freeze

      module_function

      # kind – a Kinds::Kind; given – "name", "host", "on", "variant", "version" and so on.
      def add(fitting, kind, given)
        host = host_for(fitting, kind, given["host"])
        variant = given["variant"] || kind.variants.first&.fetch("id")
        name = given["name"] || named(kind, variant)
        made = { "id" => OwnIds.from(name, taken(fitting), "device"), "name" => numbered(fitting, name), "kind" => kind.id,
                 "host" => host, "variant" => variant, "buttons" => kind.fitting_buttons(variant) }
        fitting.with("devices" => fitting.list("devices") + [given.slice(*DEVICE).merge(made).compact])
      end

      def host_for(fitting, kind, id)
        raise Invalid.at("/change/host", "add a host first: what the device is connected to") if fitting.list("hosts").empty?

        host = fitting.host(id || fitting.hosts.first.id) || raise(Invalid.at("/change/host", "unknown host #{Faults.show(id)}"))
        raise Invalid.at("/change/host", "#{kind.name} can't be used at a #{host.system}") unless kind.carries(host.system)

        host.id
      end

      # set – members of DEVICE; nil takes one away. at – now, in ISO 8601, kept where the version changes.
      # What sits on a device goes along to another host.
      def change(fitting, id, set, at:)
        device = fitting.device(id) || raise(Invalid.at("/change/device", "no device #{Faults.show(id)}"))
        set = set.slice(*DEVICE)
        set = set.merge("version_at" => at) if set.key?("version") && set["version"] != device.version
        along = set["host"] ? riders(fitting, id) : []
        fitting.with("devices" => fitting.list("devices").map do |item|
          next item.merge(set).compact if item["id"] == id

          along.include?(item["id"]) ? item.merge("host" => set["host"]) : item
        end)
      end

      # given – "name", "kind", "codes", "print"; the button comes last.
      def add_button(fitting, id, given)
        device = fitting.device(id) || raise(Invalid.at("/change/device", "no device #{Faults.show(id)}"))
        id_of_button = OwnIds.from(given["name"], device.buttons.map(&:id) + set_aside(fitting, id), "button")
        button = given.slice("name", "kind", "codes", "print").merge("id" => id_of_button)
        change_buttons(fitting, id) { |list| list + [button] }
      end

      def change_button(fitting, ref, set)
        button = fitting.button(ref) || raise(Invalid.at("/change/button", "unknown button #{Faults.show(ref)}"))
        change_buttons(fitting, button.device) do |list|
          list.map { |item| item["id"] == button.id ? item.merge(set.slice(*BUTTON)).compact : item }
        end
      end

      # A device back to how it came: nothing assigned, no timing or setting of its own, all of it
      # on, following nobody. Its name, seat, steps and the buttons that were found stay.
      def reset(fitting, id)
        device = fitting.device(id) || raise(Invalid.at("/change/device", "no device #{Faults.show(id)}"))
        refs = device.buttons.map(&:ref)
        devices = fitting.list("devices").map { |item| item["id"] == id ? as_it_came(item) : item }
        fitting.with("devices" => devices, "assignments" => fitting.list("assignments").reject { |item| refs.include?(item["button"]) },
                     "button_timing" => fitting.document.fetch("button_timing", {}).except(*refs),
                     "links" => fitting.list("links").reject { |link| link["to"] == id })
      end

      def as_it_came(item)
        item.except("off", "settings").merge("buttons" => item.fetch("buttons", []).map { |button| button.except("off", "signal") })
      end

      # done – by whom, at which time; nil: not done after all.
      def mark_ready(fitting, id, step, done)
        device = fitting.device(id) || raise(Invalid.at("/change/device", "no device #{Faults.show(id)}"))
        steps = fitting.list("devices").find { |item| item["id"] == id }.fetch("ready", {})
        steps = done ? steps.merge(step => { "by" => done[:by], "at" => done[:at], "version" => device.version }.compact) : steps.except(step)
        fitting.with("devices" => fitting.list("devices").map { |item| item["id"] == id ? item.merge("ready" => steps) : item })
      end

      # Ids of what sits on a device, and on that.
      def riders(fitting, id)
        on_it = fitting.devices.select { |device| device.seat&.device == id }.map(&:id)
        on_it + on_it.flat_map { |other| riders(fitting, other) }
      end

      def change_buttons(fitting, id)
        fitting.with("devices" => fitting.list("devices").map { |item| item["id"] == id ? item.merge("buttons" => yield(item.fetch("buttons", []))) : item })
      end

      def named(kind, variant)
        words = kind.variants.find { |one| one["id"] == variant }
        words ? "#{kind.name}, #{words["name"]}" : kind.name
      end

      # The second of a name gets a number that people can say.
      def numbered(fitting, name)
        names = fitting.devices.map(&:name)
        return name unless names.include?(name)

        "#{name} #{(2..).find { |count| !names.include?("#{name} #{count}") }}"
      end

      def taken(fitting) = fitting.devices.map(&:id) + fitting.list("taken_out").map { |item| item["id"].split("/").first }

      def set_aside(fitting, device)
        fitting.list("taken_out").filter_map { |item| item["id"].delete_prefix("#{device}/") if item["id"].start_with?("#{device}/") }
      end
    end
  end
end
