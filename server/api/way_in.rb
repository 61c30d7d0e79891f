# frozen_string_literal: true

module Kippen
  module Server
    # A lead opens the way in for clients' own devices, and closes it, while Kippen runs.
    module WayInRoutes
      def self.registered(app)
        app.get("/api/way-in") { json(WayInRoutes.render(settings.way_in)) }

        app.post("/api/way-in") do
          settings.way_in.open(sent["address"])
          audit.note(account, "opened the way in for clients' devices", address: sent["address"])
          status 202
          json(WayInRoutes.render(settings.way_in))
        end

        app.delete("/api/way-in") do
          settings.way_in.close
          audit.note(account, "closed the way in for clients' devices")
          json(WayInRoutes.render(settings.way_in))
        end

        app.error(WayIn::Refused) { |e| problem(409, e.message) }
      end

      def self.render(way_in)
        state = way_in.state
        { "reached" => way_in.reached, "possible" => way_in.possible, "wanted" => state.wanted, "open" => state.open,
          "failed" => state.failed }
      end
    end
  end
end
