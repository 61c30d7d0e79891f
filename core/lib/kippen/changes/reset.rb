# frozen_string_literal: true

module Kippen
  module Changes
    # A device back to how it came: nothing assigned, no timing or setting of its own, all of it
    # on, following nobody. Its name, seat, steps and the buttons that were found stay.
    class Reset < Change.of("reset", :device)
      def make(draft)
        found = draft.device(device)
        draft.take_of(found.buttons.map(&:ref))
        draft.alter("devices", device, "off" => nil, "settings" => nil, "timing" => nil)
        if found.buttons.any?
          draft.alter_buttons(device) { |list| list.to_a.each { |button| list.put(button.except("off", "signal")) } }
        end
        draft.list("links").delete(device)
      end
    end
  end
end
