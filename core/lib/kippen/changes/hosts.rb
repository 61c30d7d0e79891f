# frozen_string_literal: true

module Kippen
  module Changes
    # host – { "id", "name", "system", "double_click_ms", "corrected" }; without an id it is a new one. corrected – see
    # Fitting::CorrectedHost, in place of what was put right before; nil: it is as hosts of its sort are
    class PutHost < Change.of("host", :host)
      def make(draft)
        return add(draft) unless host["id"]

        old = draft.list("hosts").find(host["id"]) ||
              raise(Invalid.at("/hosts", Words.say(:no_host, id: Faults.show(host["id"]))))
        draft.list("hosts").put(Draft.with(old, said(draft, old)))
        follow(draft, old, draft.before.host(host["id"]))
      end

      private

      # By whom and when it was put right, where that is another than before.
      def said(draft, old)
        given = host["corrected"]
        return host if given.nil? || given == old["corrected"]

        said = { "by" => draft.by, "at" => draft.at }.compact
        host.merge("corrected" => given.slice(*Fitting::CorrectedHost::MEMBERS).merge(said))
      end

      def follow(draft, old, was)
        HostPutRight.follow(draft, was) if host.key?("corrected") && host["corrected"] != old["corrected"]
        becomes(draft, host["system"]) if host["system"] && host["system"] != was.system
      end

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

    # What follows where something was put right about a host.
    module HostPutRight
      module_function

      # What can't be there any more is switched off and kept; what of a shortlist no longer shows is told. was – the
      # Fitting::Host
      def follow(draft, was)
        before = Cautions.new(draft.before, draft.knowledge)
        draft.before.devices.select { |device| device.host == was.id }.each do |device|
          device.buttons.each { |button| Misfits.switch_off(draft, device, button) { |item| before.reasons(button, item) } }
        end
        shortlists(draft, was)
      end

      def shortlists(draft, was)
        most = draft.knowledge.host_kinds.at(draft.view.host(was.id) || was).most
        long = draft.before.shortlists.select { |list| list.host == was.id && list.items.size > most }
        long.each do |list|
          draft.left_out << Words.say(:shortlist_grew_too_long,
                                      name: list.name || list.id, host: was.name || was.id, most:, first: most + 1)
        end
      end
      private_class_method :shortlists
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
