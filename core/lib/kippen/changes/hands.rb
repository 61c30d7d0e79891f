# frozen_string_literal: true

module Kippen
  module Changes
    # A stand-in hand of the client's own, made of one there is with some of it turned, see Standins::Dials. One of the
    # client's own becomes it; of a made-up one a new one is made.
    class KeepHand < Change.of("keep_hand", :hand, :name, dials: {})
      def make(draft)
        turned = draft.knowledge.hands.find(draft.before, hand, dials, at: "/change").merge("name" => name)
        list = draft.member("hands", [])
        own = list.any? { |one| one["id"] == hand }
        id = own ? hand : Fitting::OwnIds.from("own #{name}", list.map { |one| one["id"] }, "own")
        kept = turned.except("says").merge("id" => id)
        index = list.index { |one| one["id"] == id } || list.size
        draft.set("hands", [*list.first(index), kept, *list.drop(index + 1)])
      end
    end

    # Throws one of the client's own away.
    class RemoveHand < Change.of("remove_hand", :hand)
      def make(draft)
        list = draft.member("hands", [])
        refuse("hand", Words.say(:own_hand_only, id: Faults.show(hand))) unless list.any? { |one| one["id"] == hand }

        draft.set("hands", list.reject { |one| one["id"] == hand })
      end
    end
  end
end
