# frozen_string_literal: true

module Kippen
  module Server
    # What was saved, what differs, and back again.
    module HistoryRoutes
      def self.registered(app)
        app.get("/api/clients/:client/revisions") do
          history = Store::History.new(database, params["client"])
          undo, redone = history.steps
          json("revisions" => history.page(before: sought["before"]).map { |row| Render.revision(row).merge("how" => row[:how]) },
               "undo" => undo, "redo" => redone)
        end

        app.get("/api/clients/:client/differences") do
          history = Store::History.new(database, params["client"])
          before, after = sought.values_at("from", "to").map { |number| history.fitting(number) }
          json("words" => Fitting::Differences.new(before, after, CATALOGUE).words)
        end

        # Back, forward again, or to any revision; each is a new revision.
        app.post("/api/clients/:client/steps") do
          saved = database.transaction do
            audit.note(account, "changed the fitting", client: params["client"], change: sent["step"], parent: sent["parent"])
            HistoryRoutes.step(Store::History.new(database, params["client"]), sent, author).tap { |row| watch(row) }
          end
          status 201
          json("revision" => Render.revision(saved))
        end
      end

      # asked – as in the contract; returns the new revision
      def self.step(history, asked, author)
        case asked["step"]
        when "undo" then history.undo(asked["parent"], author:)
        when "redo" then history.redo(asked["parent"], author:)
        when "restore" then history.restore(asked["parent"], asked["number"] || raise(Invalid.at("/number", "says which revision")), author:)
        end
      end
    end
  end
end
