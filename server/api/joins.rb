# frozen_string_literal: true

module Kippen
  module Server
    # Codes by which the client's own phone, tablet or computer joins as a listener.
    module JoinRoutes
      def self.registered(app)
        app.get("/api/clients/:client/joins") do
          fitting, = revisions.fitting(params["client"])
          json("joins" => joins.current(params["client"]).map { |row| JoinRoutes.render(row, fitting) },
               "addresses" => settings.way_in.join_addresses)
        end

        app.post("/api/clients/:client/joins") do
          fitting, = revisions.fitting(params["client"])
          raise Invalid.at("/host", Words.say(:unknown_host, host: Faults.show(sent["host"]))) unless fitting.host(sent["host"])

          lists = sent["lists"]
          raise Invalid.at("/lists", Words.say(:no_device, id: Faults.show(lists))) if lists && fitting.device(lists).nil?

          row = joins.add(params["client"], sent["host"], account.id, lists:)
          audit.note(account, Words.say(:did_make_code), client: params["client"], host: sent["host"])
          status 201
          json(JoinRoutes.render(row, fitting))
        end

        app.delete("/api/joins/:join") do
          joins.end(params["join"])
          client = database[:joins].where(id: params["join"]).get(:client_id)
          audit.note(account, Words.say(:did_end_listener), client:)
          Store::News.tell(database, client, "joins")
          json("done" => Words.say(:done_ended))
        end
      end

      def self.render(row, fitting)
        host = fitting.host(row[:host])
        { "id" => row[:id], "host" => row[:host], "lists" => row[:lists], "host_name" => host&.name || row[:host],
          "code" => row[:joined_at] ? nil : row[:code],
          "expires_at" => Times.iso(row[:expires_at]), "listener" => row[:listener], "name" => row[:name] }
      end
    end
  end
end
