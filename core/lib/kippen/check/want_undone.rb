# frozen_string_literal: true

module Kippen
  module Check
    # A want without a way in its place, shortlists and modes walked.
    class WantUndone < Finder
      ID = "want_undone"

      def findings
        help = NoHelp.new(@case).findings.any?
        undone.reject { |want| help && NoHelp.asks?(want.action) }.map { |want| told(want) }
      end

      # [Fitting::Want] that nothing does where they are wanted.
      def undone = @fitting.wants.select { |want| ways(want).empty? }

      def candidates(finding)
        want = @fitting.wants.find { |one| one.id == finding.where["want"] }
        want&.action ? free_places(want.action, hosts: want.hosts, place: want.place) : []
      end

      private

      def told(want)
        found(want.importance == "must" ? "serious" : "look", words(want), where: { "want" => want.id, "place" => place(want) },
                                                                           figures: figures(want),
                                                                           rests_on: [RestsOn.pointer("wants", want.id)])
      end

      def figures(want) = { "times_a_day" => want.times_a_day }.compact

      # An app's command for which no place was said is meant in that app.
      def ways(want)
        places = [want.place]
        places += @fitting.places.select { |one| one.app == want.action["app"] && !one.off }.map(&:id) if of_app?(want)
        places.flat_map { |place| @case.ways(want.action, place:, hosts: want.hosts) }
      end

      def of_app?(want) = want.place == Fitting::EVERYWHERE && want.action && want.action["app"]

      def words(want) = Words.say(want.action ? :check_want_undone : :check_want_without_action, what: want.what)
      def place(want) = (want.place unless want.place == Fitting::EVERYWHERE)
    end
  end
end
