# frozen_string_literal: true

module Kippen
  module Changes
    # host – { "id", "name", "system", "double_click_ms" }; without an id it is a new one.
    class PutHost < Change.of("host", :host)
      def make(draft)
        return add(draft) unless host["id"]

        old = draft.list("hosts").find(host["id"]) || raise(Invalid.at("/hosts", Words.say(:no_host, id: Faults.show(host["id"]))))
        draft.list("hosts").put(Draft.with(old, host))
        becomes(draft, host["system"]) if host["system"] && host["system"] != draft.before.host(host["id"]).system
      end

      private

      # It is another kind of thing from now on.
      def becomes(draft, system) = Moving.to(draft, draft.before.devices.select { |device| device.host == host["id"] }, system)

      # Devices that needed to name no host while there was one do so now.
      def add(draft)
        list = draft.list("hosts")
        made = Draft.with({}, host.merge("id" => Fitting::OwnIds.from(host["name"], list.ids, "host")))
        list.put(made)
        first = list.ids.first
        devices = draft.list("devices")
        devices.to_a.each { |item| devices.put(item.merge("host" => first)) unless item["host"] }
      end
    end

    # A host goes when nothing is on it, and no want is for it alone.
    class RemoveHost < Change.of("remove_host", :id)
      def make(draft)
        on_it = draft.before.devices.select { |device| device.host == id }
        still(on_it.map { |device| device.name || device.id }, Words.say(:still_on_move_take_out))
        raise Invalid.at("/hosts", Words.say(:no_host, id: Faults.show(id))) unless draft.list("hosts").delete(id)

        wants(draft)
      end

      private

      def wants(draft)
        naming = draft.list("wants").to_a.select { |want| want["hosts"]&.include?(id) }
        alone = naming.select { |want| want["hosts"] == [id] }
        still(alone.map { |want| "“#{want["what"]}”" }, Words.say(:wanted_this_host_alone_say))
        naming.each { |want| draft.alter("wants", want["id"], "hosts" => want["hosts"] - [id]) }
      end

      def still(names, words) = names.any? && raise(Invalid.at("/hosts", "#{names.join(", ")} #{words}"))
    end
  end
end
