# frozen_string_literal: true

module Kippen
  module Changes
    # Takes an action off a gesture.
    class Clear < Change.of("clear", :button, :gesture, place: Fitting::EVERYWHERE, mode: Fitting::BASE)
      def make(draft)
        draft.own_button(button)
        Placing.new(draft, draft.speak_of(Spot.new(button, place, mode))).take_off(gesture)
      end
    end
  end
end
