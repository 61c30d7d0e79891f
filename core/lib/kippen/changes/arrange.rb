# frozen_string_literal: true

module Kippen
  module Changes
    # Puts an arrangement on a device, as far as it fits; what does not is said.
    # answers – { "button" => id within the device, "double_tap" => action … }
    class Arrange < Change.of("arrange", :arrangement, :device, answers: {}.freeze)
      # What only tells which button a part belongs on.
      OF_BUTTON = %w[button name role asked].freeze

      def make(draft)
        found = draft.device(device)
        draft.own_device(device)
        chosen = draft.knowledge.arrangements.find(draft.before, arrangement)
        chosen.check(answers)
        put = chosen.parts.count { |part| part?(draft, found, chosen, part) }
        raise(Invalid, draft.left_out.map { |words| Fault.new("/change/arrangement", words) }) if put.zero?

        draft.notes.concat(chosen.notes(found, draft.kinds))
      end

      private

      # Was it put there? Otherwise it is left out, with the reason.
      def part?(draft, device, chosen, part)
        button = chosen.button_for(device, draft.kinds, part, answers)
        raise Invalid.at("/change", Words.say(:has_no_such_button, device: device.name || device.id)) unless button

        item = part.except(*OF_BUTTON).merge("action" => chosen.action_of(part, answers))
        spot = Spot.new(button.ref, part.fetch("place", Fitting::EVERYWHERE), part.fetch("mode", Fitting::BASE))
        check(draft, spot)
        Placing.new(draft, draft.speak_of(spot)).put(item.except("place", "mode"))
        true
      rescue Invalid => e
        leave_out(draft, chosen, part, e.faults.map { |fault| fault.message.delete_suffix(".") }.join("; "))
        false
      end

      # It may have been kept when there were other places and modes.
      def check(draft, spot)
        unless spot.place == Fitting::EVERYWHERE || draft.view.place(spot.place)
          raise Invalid.at("/change", Words.say(:its_place_not_there_any))
        end
        return if spot.mode == Fitting::BASE || draft.view.mode(spot.mode)

        raise Invalid.at("/change", Words.say(:its_mode_not_there_any))
      end

      def leave_out(draft, chosen, part, why)
        draft.left_out << "#{chosen.called(part, draft.catalogue, answers)}: #{why}."
      end
    end
  end
end
