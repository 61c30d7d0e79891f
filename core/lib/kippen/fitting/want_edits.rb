# frozen_string_literal: true

module Kippen
  class Fitting
    # Changes to who the client is, what they want and what they have hosts for.
    # Each takes a valid Fitting and returns a new one. Raises Invalid.
    module WantEdits
      module_function

      def describe(fitting, name:, about:)
        fitting.with("client" => fitting.document.fetch("client", {}).merge("name" => name, "about" => about).compact)
      end

      # given – a want as in the document; without an id it is a new one, else in place of the old.
      def put(fitting, given)
        list = fitting.list("wants")
        id = given["id"] || OwnIds.from(given["what"], list.map { |want| want["id"] }, "want")
        want = given.merge("id" => id).compact
        changed = list.map { |one| one["id"] == id ? want : one }
        fitting.with("wants" => changed.include?(want) ? changed : list + [want])
      end

      def remove(fitting, id)
        raise Invalid.at("/wants", "no want #{Faults.show(id)}") unless fitting.wants.any? { |want| want.id == id }

        fitting.with("wants" => fitting.list("wants").reject { |want| want["id"] == id })
      end

      # given – { "id", "name", "system", "double_click_ms" }; without an id it is a new host.
      def put_host(fitting, given)
        list = fitting.list("hosts")
        return add_host(fitting, list, given) unless given["id"]
        raise Invalid.at("/hosts", "no host #{Faults.show(given["id"])}") unless fitting.host(given["id"])

        fitting.with("hosts" => list.map { |host| host["id"] == given["id"] ? host.merge(given).compact : host })
      end

      # Devices that needed to name no host while there was one do so now.
      def add_host(fitting, list, given)
        host = given.merge("id" => OwnIds.from(given["name"], list.map { |one| one["id"] }, "host"))
        first = list.empty? ? host["id"] : list.first["id"]
        fitting.with("hosts" => [*list, host], "devices" => fitting.list("devices").map { |device| { "host" => first }.merge(device) })
      end

      # A host goes when nothing is on it; wants no longer name it.
      def remove_host(fitting, id)
        on_it = fitting.devices.select { |device| device.host == id }
        raise Invalid.at("/hosts", "#{on_it.map { |device| device.name || device.id }.join(", ")} still on it: move or take out first") if on_it.any?
        raise Invalid.at("/hosts", "no host #{Faults.show(id)}") unless fitting.host(id)

        wants = fitting.list("wants").map { |want| want["hosts"] ? want.merge("hosts" => want["hosts"] - [id]) : want }
        fitting.with("hosts" => fitting.list("hosts").reject { |host| host["id"] == id }, "wants" => wants)
      end
    end
  end
end
