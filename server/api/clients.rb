# frozen_string_literal: true

module Kippen
  module Server
    # The caseload; each client has one fitting. All of a client's data out, and erased.
    module ClientRoutes
      def self.registered(app)
        app.get("/api/health") { json("ok" => true) }

        # What can be chosen, the client's own apps among it.
        app.get("/api/clients/:client/actions") do
          fitting, = revisions.fitting(params["client"])
          catalogue = CATALOGUE.of(fitting)
          json("actions" => catalogue.entries.map { |entry| Render.action(entry, catalogue, fitting) }, "keys" => Render.keys)
        end

        # What others of the service have written down of apps, and offer.
        app.get("/api/clients/:client/offered-apps") do
          fitting, = revisions.fitting(params["client"])
          json("apps" => Store::OfferedApps.new(database).to(params["client"], fitting))
        end

        app.get("/api/clients") do
          rows, more = clients.page(account, search: sought["search"] || "", page: sought["page"] || 1)
          json("clients" => rows.map { |row| Render.client(row) }, "more" => more)
        end

        # The body is a fitting file; with it a client is taken in.
        app.post("/api/clients") do
          fitting = Formats::FittingJson.read(request.body.read)
          id = Store::Save.new(database).first(account.service, fitting, author:, note: Words.say(:note_taken_in), account:)
          status 201
          json(desk(id))
        end

        # A client's whole file, from here or another machine.
        app.post("/api/whole-clients") do
          id = Store::TakeIn.new(database, account.service).take(sent, author:, account:)
          status 201
          json(desk(id))
        end

        app.get("/api/clients/:client") { json(desk(params["client"])) }

        # The fitting as a file in the open format.
        app.get("/api/clients/:client/fitting") do
          headers "content-disposition" => 'attachment; filename="fitting.json"'
          json(revisions.head(params["client"]).fitting.document)
        end

        app.get("/api/clients/:client/everything") do
          audit.note(account, Words.say(:did_take_out), client: params["client"])
          headers "content-type" => "application/json", "content-disposition" => 'attachment; filename="client.json"'
          body Spooled.new(Store::Everything.new(database, params["client"]).pieces)
        end

        app.get("/api/clients/:client/erasure") { json(clients.holdings(params["client"]).transform_keys(&:to_s)) }

        # The second look: the client's name, as it stands, must be sent along.
        app.post("/api/clients/:client/erasure") do
          name = revisions.fitting(params["client"]).first.name
          problem(409, Words.say(:erase_name, name:)) unless sent["name"] == name
          Store.transaction(database) do
            clients.erase(params["client"])
            audit.note(account, Words.say(:did_erase), client: params["client"])
          end
          json("done" => Words.say(:done_erased))
        end
      end
    end
  end
end
