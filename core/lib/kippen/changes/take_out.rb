# frozen_string_literal: true

module Kippen
  module Changes
    # Takes a device or a button out, with everything it had. What was taken out lies in the
    # document's "taken_out", newest last. id – a device's id, or "device/button"; what sits on a
    # device goes with it
    class TakeOut < Change.of("take_out", :id)
      def make(draft) = id.include?("/") ? button(draft) : device(draft)

      private

      def device(draft)
        found = draft.before.device(id) || refuse("id", Words.say(:no_device, id: Faults.show(id)))
        gone = [found, *ChangeDevice.riders(draft.before, id)]
        bundle = { "id" => id, "name" => found.name || id, "system" => draft.before.host(found.host).system,
                   "devices" => gone.map { |one| out_of_the_list(draft, one) }, "links" => links(draft, gone) }
        set_aside(draft, gone.flat_map { |one| one.buttons.map(&:ref) }, bundle)
      end

      # With the host said, though it may have gone without saying.
      def out_of_the_list(draft, device)
        item = draft.list("devices").delete(device.id)
        item["host"] ? item : item.merge("host" => device.host)
      end

      # Those from or to what goes.
      def links(draft, gone)
        links = draft.list("links").to_a.select { |link| gone.map(&:id).intersect?(link.values_at("from", "to")) }
        links.each { |link| draft.list("links").delete(link["to"]) }
      end

      def button(draft)
        found = draft.before.button(id) || refuse("id", Words.say(:unknown_button, ref: Faults.show(id)))
        buttons = List.new(draft.list("devices").find(found.device)["buttons"], "id")
        bundle = { "id" => id, "name" => found.name || found.id, "device" => found.device, "button" => buttons.find(found.id),
                   "index" => buttons.index(found.id) }
        draft.alter_buttons(found.device) { |list| list.delete(found.id) }
        set_aside(draft, [id], bundle)
      end

      # Puts assignments and timing of the buttons into the bundle, and the bundle aside.
      def set_aside(draft, refs, bundle)
        draft.put_aside(bundle.merge(draft.take_of(refs)))
      end
    end
  end
end
