# frozen_string_literal: true

module Kippen
  module Changes
    # What the client hears, sees or feels: cues – { event => ways, "quiet" => { "from", "to" } or nil }, see
    # Cues; an event that isn't named stays as it is.
    class PutCues < Change.of("cues", :cues)
      def make(draft)
        givers = Cues.givers(draft.before, draft.knowledge)
        cant = cues.slice(*Cues::EVENTS).values.flatten.uniq.reject { |way| givers.fetch(way, []).any? }
        refuse("cues", Words.say(:cues_cant, way: cant.map { |way| Words.say(way.to_sym) }.join(", "))) if cant.any?

        now = Draft.with(draft.member("cues", {}), cues.transform_values { |value| value == [] ? nil : value })
        draft.set("cues", now.empty? ? nil : now)
      end
    end
  end
end
