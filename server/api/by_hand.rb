# frozen_string_literal: true

module Kippen
  module Server
    # Devices that people set from a list: on the desk, and with a code that opens one list and nothing else.
    module ByHandRoutes
      def self.registered(app)
        app.get("/api/clients/:client/by-hand") { json(ByHandRoutes.list(self, params["client"], sought["device"])) }
        app.post("/api/clients/:client/by-hand") { json(ByHandRoutes.tick(self, params["client"], sent["device"], author)) }

        app.put("/api/clients/:client/by-hand") do
          fitting, = revisions.fitting(params["client"])
          by_hand(params["client"]).by_hand!(ByHandRoutes.device(fitting, sent["device"]), sent["by_hand"])
          json(RenderHandover.new(self, params["client"]).to_h)
        end

        app.get("/api/joined/by-hand") { json(ByHandRoutes.list(self, joined[:client_id], joined[:lists])) }
        app.post("/api/joined/by-hand") { json(ByHandRoutes.tick(self, joined[:client_id], joined[:lists], joined[:who])) }
      end

      def self.device(fitting, id) = fitting.device(id) || raise(Store::Missing, Words.say(:no_device, id: Faults.show(id)))

      def self.list(app, client, id)
        fitting, revision = app.revisions.fitting(client)
        device = device(fitting, id)
        { "device" => id, "name" => device.name || id, "revision" => revision[:number],
          "lines" => app.by_hand(client).lines(device).map(&:plain) }
      end

      # by – who did it, as they call themselves
      def self.tick(app, client, id, by)
        fitting, = app.revisions.fitting(client)
        device = device(fitting, id)
        line = { key: app.sent["key"], mark: app.sent["mark"] }
        if app.sent["tick"] == "open"
          app.by_hand(client).untick!(device, **line)
        else
          why = app.sent.fetch("why", "").strip
          app.by_hand(client).tick!(device, **line, set: app.sent["tick"] == "set", why:, by:)
        end
        list(app, client, id)
      end
    end
  end
end
