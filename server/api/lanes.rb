# frozen_string_literal: true

module Kippen
  module Server
    # The lanes of all buttons in one place and mode.
    module LaneRoutes
      def self.registered(app)
        app.get("/api/clients/:client/lanes") do
          fitting, revision = revisions.fitting(params["client"])
          fitting = revisions.at(params["client"], sought["revision"]) if sought["revision"]
          place, mode = spot(fitting)
          resolver = Press::Resolver.new(fitting)
          render = RenderLanes.new(fitting)
          deadline = Server.deadline(RevisionRoutes::LOOK_S)
          lanes = fitting.buttons.map do |button|
            deadline.check || render.lane(Press::Lane.new(fitting, button, place:, mode:, resolver:))
          end
          json("revision" => sought["revision"] || revision[:number], "place" => place, "mode" => mode, "lanes" => lanes,
               "heads" => fitting.devices.map { |device| render.head(device) })
        end
      end
    end
  end
end
