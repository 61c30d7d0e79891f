# frozen_string_literal: true

module Kippen
  module Changes
    # Carries an assignment, with all there is to it, to another gesture of this button or another
    # one; it displaces what is there. to – { "button", "gesture" } in the same place and mode;
    # copy – it also stays where it is
    class Carry < Change.of("carry", :button, :gesture, :to, :copy, place: Fitting::EVERYWHERE, mode: Fitting::BASE)
      def make(draft)
        refuse_what_changes_nothing(draft)
        from = draft.speak_of(Spot.new(button, place, mode))
        item = Placing.new(draft, from).found(gesture)
        Placing.new(draft, from).take_off(gesture) unless copy
        there = draft.speak_of(from.with_button(to["button"]))
        Placing.new(draft, there).put(item.except("button", "place", "mode").merge("gesture" => to["gesture"]))
      end

      private

      def refuse_what_changes_nothing(draft)
        [button, to["button"]].each { |ref| draft.own_button(ref) }
        refuse("to", Words.say(:there_already)) if [button, gesture] == to.values_at("button", "gesture")
      end
    end
  end
end
