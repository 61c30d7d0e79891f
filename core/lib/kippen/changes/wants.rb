# frozen_string_literal: true

module Kippen
  module Changes
    # Who the client is.
    class Describe < Change.of("client", :name, about: nil)
      def make(draft) = draft.set("client", Draft.with(draft.member("client", {}), "name" => name, "about" => about))
    end

    # How long a wait the client bears, in ms; nil: as it is usual, see Check::Late.
    class Bears < Change.of("bears", :ms)
      def make(draft) = draft.set("client", Draft.with(draft.member("client", {}), "bears_ms" => ms))
    end

    # When the client is seen next, as an ISO 8601 date; nil: nobody said.
    class NextVisit < Change.of("next_visit", :day)
      def make(draft) = draft.set("client", Draft.with(draft.member("client", {}), "next_visit" => day))
    end

    # want – as in the document; without an id it is a new one, else what it doesn't say is said no more.
    # Its place may be an app as a whole, { "app" => id or name }, and its action may name an app as people call it,
    # see NamedApp. An action that is another than before must be whole.
    class PutWant < Change.of("want", :want)
      MEMBERS = %w[what place hosts times_a_day wrong asked_by importance second_way action].freeze

      def make(draft)
        list = draft.list("wants")
        id = want["id"] || Fitting::OwnIds.from(want["what"], list.ids, "want")
        old = list.find(id) || {}
        said = MEMBERS.to_h { |member| [member, nil] }.merge(want, { "id" => id }, place(draft), action(draft, old))
        list.put(Draft.with(old, said))
      end

      private

      def place(draft) = want["place"].is_a?(Hash) ? { "place" => WholeApp.place(draft, want["place"]) } : {}

      def action(draft, old)
        return {} if !want["action"].is_a?(Hash) || want["action"] == old["action"]

        settled = NamedApp.settle(draft, want["action"])
        draft.catalogue.check(settled, "/change/want/action")
        { "action" => settled }
      end
    end

    # A want that is wanted no more.
    class RemoveWant < Change.of("remove_want", :id)
      def make(draft) = draft.list("wants").delete(id) || raise(Invalid.at("/wants", Words.say(:no_want, id: Faults.show(id))))
    end

    # How many seconds one has to confirm with a button that was changed.
    class ConfirmTime < Change.of(nil, :seconds)
      def make(draft) = draft.set("confirm_s", seconds)
    end

    # The state as it is, saved once more for the sake of the note beside it.
    class Note < Change.of("note")
      def make(_draft) = nil
    end
  end
end
