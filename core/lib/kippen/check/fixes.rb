# frozen_string_literal: true

module Kippen
  module Check
    # What would mend a finding: tried before it is offered. After it the finding is gone, and none as bad has come that was
    # not there.
    class Fixes
      MOST = 2
      # So many are tried.
      TRIED = 12

      # at – when, for what a change writes down; heard – trials and contacts, as Check.of takes them
      def initialize(fitting, knowledge, at: nil, deadline: Deadline::NEVER, **heard)
        @fitting = fitting
        @knowledge = knowledge
        @at = at
        @deadline = deadline
        @heard = heard
        @known = look(fitting)
      end

      # [Fix], the best first; empty where nothing was found that mends it. Raises Deadline::Passed.
      def of(finding)
        asked = Case.new(@fitting, @knowledge, **@heard, deadline: @deadline)
        finder = FINDERS.find { |one| finding.id == one::ID }.new(asked)
        mending = finder.candidates(finding).first(TRIED).lazy.select { |_, change| mends?(finding, change) }
        mending.first(MOST).map { |words, change| Fix.new(words, change) }
      end

      private

      def mends?(finding, sent)
        @deadline.check
        after = Changes.make(@fitting, Changes.read(sent), knowledge: @knowledge, by: nil, at: @at).fitting
        found = look(after)
        found.none? { |one| one.same?(finding) } && found.none? { |one| as_bad?(one, finding) && new?(one) }
      rescue Invalid
        false
      end

      # What could not be looked for in time may be there.
      def look(fitting)
        result = Check.of(fitting, @knowledge, deadline: @deadline, **@heard)
        raise Deadline::Passed if result.looked_for.size < FINDERS.size

        result.findings
      end

      def as_bad?(one, finding) = BAD.index(one.bad) <= BAD.index(finding.bad)
      def new?(one) = @known.none? { |other| other.same?(one) }
    end
  end
end
