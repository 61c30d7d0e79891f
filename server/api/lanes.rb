# frozen_string_literal: true

module Kippen
  module Server
    # The lanes of all buttons in one place and mode.
    module LaneRoutes
      def self.registered(app)
        app.helpers(Helpers)

        app.get("/api/clients/:client/lanes") do
          fitting, revision = revisions.fitting(params["client"])
          fitting = revisions.at(params["client"], sought["revision"]) if sought["revision"]
          place, mode = spot(fitting)
          deadline = Server.deadline(RevisionRoutes::LOOK_S)
          now = LanesTold.new(fitting, place, mode, deadline)
          since = known_lanes(sought["since"], place, mode, deadline)
          lanes = since ? now.changed_since(since) : now.lanes
          json("revision" => sought["revision"] || revision[:number], "since" => since && sought["since"],
               "place" => place, "mode" => mode, "order" => now.lanes.keys,
               "lanes" => lanes.values.map { |lane| JSON::Fragment.new(lane) },
               "heads" => fitting.devices.map { |device| RenderLanes.new(fitting).head(device) })
        end
      end

      # What lanes need besides.
      module Helpers
        # The lanes of a revision that somebody has already; nil where they can't have them, or it is not known what they have.
        def known_lanes(number, place, mode, deadline)
          return unless number

          before = revisions.at(params["client"], number)
          known(before.places, place, Fitting::EVERYWHERE, "place")
          known(before.modes, mode, Fitting::BASE, "mode")
          LanesTold.new(before, place, mode, deadline)
        rescue Store::Missing, Invalid
          nil
        end
      end
    end
  end
end
