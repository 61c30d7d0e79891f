# frozen_string_literal: true

module Kippen
  module Changes
    # The fitting becomes what it was in another state, or what a file says: undo, redo, restore,
    # import. Only validated: nothing is barred, kept or followed, for it brings back what was.
    class Become < Change.of(nil, :document)
      def make(draft) = draft.become(document)
    end
  end
end
