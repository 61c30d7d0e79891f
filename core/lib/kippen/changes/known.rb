# frozen_string_literal: true

module Kippen
  module Changes
    # A finding of Check is known and wanted so. finding, where – which; why – in somebody's words
    # rested – what it was told with: { "bad", "figures", "mark" }, as the finding has them
    class Know < Change.of("known", :finding, :where, :why, :rested)
      def make(draft)
        refuse("why", Words.say(:is_missing)) if why.strip.empty?
        unless Check::FINDERS.map { |one| one::ID }.include?(finding)
          refuse("finding", Words.say(:no_such_finding, id: Faults.show(finding)))
        end
        list = draft.list("known")
        id = Check::Known.id(finding, where)
        list.put("id" => id, "finding" => finding, "where" => where, "why" => why.strip, "by" => draft.by, "at" => draft.at,
                 "rested" => rested)
      end
    end

    # It is wanted so no more.
    class KnowNoMore < Change.of("not_known", :finding, :where)
      def make(draft)
        return if draft.list("known").delete(Check::Known.id(finding, where))

        refuse("finding", Words.say(:was_not_known, id: Faults.show(finding)))
      end
    end
  end
end
