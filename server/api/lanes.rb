# frozen_string_literal: true

module Kippen
  module Server
    # The lanes of all buttons in one place and mode.
    module LaneRoutes
      def self.registered(app)
        app.get("/api/clients/:client/lanes") do
          fitting, revision = revisions.fitting(params["client"])
          place = known(fitting.places, params.fetch("place", Fitting::EVERYWHERE), Fitting::EVERYWHERE, "place")
          mode = known(fitting.modes, params.fetch("mode", Fitting::BASE), Fitting::BASE, "mode")
          resolver = Press::Resolver.new(fitting)
          lanes = fitting.buttons.map { |button| Press::Lane.new(fitting, button, place:, mode:, resolver:) }
          json("revision" => revision[:number], "place" => place, "mode" => mode, "lanes" => lanes.map { |lane| Render.lane(lane) })
        end
      end
    end
  end
end
