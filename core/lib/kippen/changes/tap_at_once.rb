# frozen_string_literal: true

module Kippen
  module Changes
    # Lets the tap of a spot act at once, or wait for a second one.
    class TapAtOnce < Change.of("tap_at_once", :button, :at_once, place: Fitting::EVERYWHERE, mode: Fitting::BASE)
      def make(draft)
        own = draft.own_button(button)
        item = Placing.new(draft, draft.speak_of(Spot.new(button, place, mode))).found("tap")
        if !at_once && item.dig("action", "kind") == "builtin" && !draft.cautions.held_back?(own)
          refuse("at_once", Words.say(:what_this_button_does_itself))
        end
        draft.rows.put(Draft.with(item, "at_once" => at_once || nil))
      end
    end
  end
end
