# frozen_string_literal: true

module Kippen
  module Server
    # What was saved, what differs, and back again.
    module HistoryRoutes
      def self.registered(app)
        app.get("/api/clients/:client/revisions") do
          history = Store::History.new(database, params["client"])
          undo, redone = history.steps
          page = history.page(before: sought["before"])
          evidence = fits.evidence(params["client"], page.map { |row| row[:number] })
          told = ->(row) { { "how" => row[:how], "evidence" => HistoryRoutes.evidence(evidence[row[:number]]) } }
          json("revisions" => page.map { |row| Render.revision(row).merge(told.call(row)) },
               "undo" => undo, "redo" => redone)
        end

        app.get("/api/clients/:client/differences") do
          history = Store::History.new(database, params["client"])
          before, after = sought.values_at("from", "to").map { |number| history.fitting(number) }
          json("words" => Changes::Differences.new(before, after, KNOWLEDGE.of(after)).words)
        end

        # Back, forward again, or to any revision; each is a new revision.
        app.post("/api/clients/:client/steps") do
          step, number = sent.values_at("step", "revision")
          saved = Store::Save.new(database).on(params["client"], author:, account:, page: sent["page"], change: step) do
            Store::History.new(database, params["client"]).public_send(step, number)
          end
          status 201
          json("revision" => Render.revision(saved))
        end
      end

      # On what a revision's timing rests, or nil.
      def self.evidence(row)
        return unless row && Store::Fits.promised?(row)

        { "fit" => row[:fit_id], "trials" => row[:trials].to_a.size, "words" => RenderFit.note(row[:result], moved: row[:moved]) }
      end
    end
  end
end
