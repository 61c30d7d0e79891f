# frozen_string_literal: true

module Kippen
  module Changes
    # Switches an assignment off, which keeps it, or on again.
    class Switch < Change.of("switch", :button, :gesture, :off, place: Fitting::EVERYWHERE, mode: Fitting::BASE)
      def make(draft)
        own = draft.own_button(button)
        item = Placing.new(draft, draft.speak_of(Spot.new(button, place, mode))).found(gesture)
        draft.cautions.bar(own, item) unless off
        draft.rows.put(off ? item.merge("off" => true) : item.except("off"))
      end
    end
  end
end
