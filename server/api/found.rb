# frozen_string_literal: true

module Kippen
  module Server
    # What is meant by what somebody says: actions alone, or all there is at a desk.
    module FoundRoutes
      # So much is told; who looks further says more.
      MOST = 16
      REVISIONS = 4
      # Nearly all that was said must stand in a change; and so long the history is read for it.
      MET = 0.8
      HISTORY_S = 0.3

      def self.registered(app)
        app.get("/api/clients/:client/actions/found") do
          fitting, = revisions.fitting(params["client"])
          json("ids" => SEARCH.find(Search::Topics.of_actions(fitting, KNOWLEDGE.of(fitting)), sought["words"]).map(&:id))
        end

        app.get("/api/clients/:client/found") do
          fitting, = revisions.fitting(params["client"])
          topics = SEARCH.find(Search::Topics.of(fitting, KNOWLEDGE.of(fitting)), sought["words"]).first(MOST)
          changed = Store::History.new(database, params["client"]).changed(Server.deadline(HISTORY_S))
          saved = SEARCH.find(FoundRoutes.saved(changed), sought["words"], met: MET).first(REVISIONS)
          json("found" => [*topics, *saved].map { |one| FoundRoutes.topic(one) })
        end
      end

      def self.topic(one)
        { "kind" => one.kind, "id" => one.id, "name" => one.name, "of" => one.of, "note" => one.note, "leads" => one.leads }
      end

      # What was saved lately, by its note or by what it changed.
      def self.saved(changed)
        spoken = Search::Spoken::Often.new
        Search::Index.new(changed.filter_map do |row, sentences|
          name = row[:note].empty? ? sentences.first : row[:note]
          next unless name

          Search::Topic.new(kind: "revision", id: row[:number].to_s, name:, of: row[:author], note: row[:created_at].utc.iso8601,
                            also: sentences.join(" "), spoken:)
        end)
      end
    end
  end
end
