# frozen_string_literal: true

module Kippen
  module Check
    # On no host is there a way to ask for help.
    class NoHelp < Finder
      ID = "no_help"
      ACTION = { "kind" => "help" }.freeze

      # Whatever asks for help, of the catalogue or of a want.
      def self.asks?(action) = action.is_a?(Hash) && action["kind"] == "help"

      def findings
        return [] if @fitting.buttons.empty? || ways.any?

        [found("serious", Words.say(:check_no_help), where: {}, rests_on: %w[/hosts])]
      end

      def candidates(_finding) = free_places(action)

      # [Reach::Wants::Way] of asking for help.
      def ways
        asking.flat_map { |action| places.flat_map { |place| @case.ways(action, place:) } }.uniq
      end

      private

      # As some want has it, else the plain call.
      def action = @fitting.wants.map(&:action).find { |one| NoHelp.asks?(one) } || ACTION

      # Every action of the fitting that asks for help.
      def asking
        given = @fitting.wants.filter_map(&:action) + @fitting.assignments.map(&:action) +
                @fitting.shortlists.flat_map { |list| list.items.map(&:action) }
        given.flat_map { |one| Steps.parts(one) }.select { |one| NoHelp.asks?(one) }.uniq
      end

      def places = [Fitting::EVERYWHERE, *@fitting.places.reject(&:off).map(&:id)]
    end
  end
end
