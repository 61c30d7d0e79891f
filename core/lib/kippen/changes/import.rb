# frozen_string_literal: true

module Kippen
  module Changes
    # The fitting becomes what a file says, whoever's it was; what it was before is an undo away. document – its JSON object.
    class Import < Change.of("import", :document)
      # The Fitting of a document that was sent. Raises Invalid with all that is wrong, each where it stands in it.
      def self.fitting(document)
        Fitting.read(document)
      rescue Invalid => e
        raise(Invalid, e.faults.map { |fault| Fault.new("/change/document#{fault.where}", fault.message) })
      end

      def make(draft)
        Import.fitting(document)
        draft.become(document)
      end
    end
  end
end
