# frozen_string_literal: true

module Kippen
  module Changes
    # Puts an action on a gesture of a button. What else is known of the assignment that stood
    # there stays with it; that it was switched off does not, for what is chosen anew is meant to happen.
    # action – its app may be named as people call it, see NamedApp
    # repeat – { "after_ms", "every_ms" } or nil
    # at_once – does the tap of this spot wait for a count (false) or not (true); nil: as it was
    # keep – an untouched button keeps its tap beside another gesture
    class Assign < Change.of("assign", :button, :gesture, :action,
                             place: Fitting::EVERYWHERE, mode: Fitting::BASE, repeat: nil, at_once: nil, keep: true)
      def make(draft)
        draft.own_button(button)
        spot = draft.speak_of(Spot.new(button, place, mode))
        said = { "gesture" => gesture, "action" => NamedApp.settle(draft, action), "repeat" => repeat }.compact
        item = (draft.rows.find(spot, gesture) || {}).except("off", "repeat").merge(said)
        Placing.new(draft, spot).put(item, keep:, at_once:)
      end
    end
  end
end
