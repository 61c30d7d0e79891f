# frozen_string_literal: true

module Kippen
  module Server
    # Clients, each with one fitting; the catalogue of actions.
    module ClientRoutes
      def self.registered(app)
        app.get("/api/health") { json("ok" => true) }

        app.get("/api/actions") { json("actions" => CATALOGUE.entries.map { |entry| Render.action(entry) }) }

        app.get("/api/clients") { json("clients" => clients.all.map { |row| Render.client(row) }) }

        # The body is a fitting file; with it a client is taken in.
        app.post("/api/clients") do
          fitting = Formats::FittingJson.read(request.body.read)
          id = clients.add(fitting, author:, note: "Taken in from a file")
          status 201
          json(Render.desk(id, *revisions.fitting(id)))
        end

        app.get("/api/clients/:client") do
          json(Render.desk(params["client"], *revisions.fitting(params["client"])))
        end

        # The fitting as a file in the open format.
        app.get("/api/clients/:client/fitting") do
          headers "content-disposition" => 'attachment; filename="fitting.json"'
          json(revisions.newest(params["client"])[:document].to_hash)
        end
      end
    end
  end
end
