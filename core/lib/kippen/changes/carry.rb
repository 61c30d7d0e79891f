# frozen_string_literal: true

module Kippen
  module Changes
    # Carries an assignment, with all there is to it, to another gesture of this button or another
    # one; it displaces what is there. to – { "button", "gesture" } in the same place and mode;
    # copy – it also stays where it is
    class Carry < Change.of("carry", :button, :gesture, :to, :copy, place: Fitting::EVERYWHERE, mode: Fitting::BASE)
      def make(draft)
        [button, to["button"]].each { |ref| draft.own_button(ref) }
        refuse("to", "it is there already") if [button, gesture] == to.values_at("button", "gesture")

        from = draft.speak_of(Spot.new(button, place, mode))
        item = Placing.found(draft, from, gesture)
        Placing.take_off(draft, from, gesture) unless copy
        Placing.put(draft, draft.speak_of(from.with_button(to["button"])), item.except("button", "place", "mode").merge("gesture" => to["gesture"]))
      end
    end
  end
end
