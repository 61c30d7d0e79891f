# frozen_string_literal: true

module Kippen
  module Check
    # Findings that somebody knows of and wants so, with a reason. One is found again when it got worse, when what it rests on is
    # another, or when its figures were better meanwhile; not at each press that is heard.
    class Known
      # What a finding of a place is called in the document.
      def self.id(finding, where)
        "#{finding}-#{Digest::SHA256.hexdigest(JSON.generate(where.sort))[0, 8]}"
      end

      # asked – Case
      def initialize(asked)
        @asked = asked
        @known = asked.fitting.known.to_h { |item| [item["id"], item] }
      end

      # The Finding with what it rests on marked, and who knows of it.
      def told(finding)
        marked = finding.with(mark: RestsOn.mark(@asked.fitting, finding.rests_on))
        item = @known[Known.id(finding.id, finding.where)] or return marked

        said = item.slice("why", "by", "at")
        because = because(marked, item["rested"])
        because ? marked.with(again: said.merge("because" => because)) : marked.with(known: said)
      end

      private

      # Why it is found again, in a word, or nil.
      def because(finding, rested)
        return "worse" if BAD.index(finding.bad) < BAD.index(rested["bad"])
        return "changed" if finding.mark != rested["mark"]

        finder = FINDERS.find { |one| finding.id == one::ID }.new(@asked)
        "crossed" if finder.crossed?(finding, rested["figures"])
      end
    end
  end
end
