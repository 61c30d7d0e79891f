# frozen_string_literal: true

module Kippen
  module Server
    # A lead's view of the service: its accounts, and who changed what.
    module AccountRoutes
      def self.registered(app)
        app.get("/api/accounts") { json("accounts" => accounts.all(account.service).map { |row| AccountRoutes.render(row) }) }

        app.post("/api/accounts") do
          row = Store.transaction(database) do
            audit.note(account, Words.say(:did_make_account), name: sent["name"], role: sent["role"])
            accounts.add(account.service, **sent.slice("email", "name", "role", "password").transform_keys(&:to_sym))
          end
          status 201
          json(AccountRoutes.render(row))
        end

        app.patch("/api/accounts/:account") do
          id = Integer(params["account"], 10)
          changes = sent.transform_keys(&:to_sym)
          Store.transaction(database) do
            accounts.change(account.service, id, changes)
            audit.note(account, Words.say(:did_change_account), account: id, changed: changes.keys.map(&:to_s))
          end
          json(AccountRoutes.render(accounts.all(account.service).find { |row| row[:id] == id }))
        end

        # Devices whose client was erased while they could not be told.
        app.get("/api/to-be-emptied") do
          json("devices" => carriers.to_be_emptied(account.service).map { |row| AccountRoutes.device(row) })
        end

        app.post("/api/to-be-emptied") do
          carriers.emptied(account.service, sent["id"])
          audit.note(account, Words.say(:did_empty), device: sent["id"])
          json("devices" => carriers.to_be_emptied(account.service).map { |row| AccountRoutes.device(row) })
        end

        app.get("/api/audit") do
          rows = audit.page(account.service, before: sought["before"], client: sought["client"])
          json("entries" => rows.map { |row| AccountRoutes.entry(row) })
        end
      end

      # Nothing of whose it was.
      def self.device(row)
        { "id" => row[:id], "kind" => KINDS.find(row[:kind])&.name || row[:kind] || Words.say(:no_known_kind),
          "since" => Times.iso(row[:reach_since]) }
      end

      def self.render(row)
        { "id" => row[:id], "email" => row[:email], "name" => row[:name], "role" => row[:role],
          "open" => row[:status] == Store::Accounts::OPEN, "locked" => row.fetch(:locked, false),
          "clients" => row.fetch(:clients, []) }
      end

      def self.entry(row)
        { "id" => row[:id], "author" => row[:author], "client" => row[:client_id], "what" => row[:what],
          "detail" => row[:detail].to_h,
          "at" => Times.iso(row[:at]) }
      end
    end
  end
end
