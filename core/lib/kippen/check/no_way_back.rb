# frozen_string_literal: true

module Kippen
  module Check
    # A mode that can stay on and, somewhere, not be left.
    class NoWayBack < Finder
      ID = Reach::NoWayBack::ID

      def findings
        Reach::NoWayBack.new(@fitting, @case.knowledge, deadline: @case.deadline).unmended.map do |one|
          found("serious", one.what, where: one.where, rests_on: rests_on(one.where["mode"]))
        end
      end

      def candidates(finding)
        Reach::NoWayBack.new(@fitting, @case.knowledge, deadline: @case.deadline).findings
          .select { |one| one.where == finding.where }.flat_map { |one| one.fixes.map { |fix| [fix.words, fix.change] } }
      end

      private

      # The mode, and the buttons that take it.
      def rests_on(mode)
        takes = @fitting.assignments.select { |one| [one.mode, one.action["mode"]].include?(mode) }
        [RestsOn.pointer("modes", mode), *takes.map { |one| assigned(one.button) }.uniq]
      end
    end
  end
end
