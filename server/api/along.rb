# frozen_string_literal: true

module Kippen
  module Server
    # What lanes become while one of their times is moved: sent once, when it is taken hold of.
    module AlongRoutes
      def self.registered(app)
        app.get("/api/clients/:client/along") do
          fitting, revision = revisions.fitting(params["client"])
          place, mode = spot(fitting)
          along = Press::Along.new(fitting, sought["setting"], place:, mode:)
          device, lanes = AlongRoutes.meant(fitting, along, sought)
          problem(404, Words.say(:no_device_nor_button)) unless device

          deadline = Server.deadline(RevisionRoutes::LOOK_S)
          json("revision" => revision[:number],
               **RenderAlong.new(fitting, along, deadline:).of(device, sought["setting"], lanes, to: sought["to"]))
        end
      end

      # [the Fitting::Device or nil, its Lanes that would change]
      def self.meant(fitting, along, sought)
        button = fitting.button(sought["of"])
        return [fitting.device(button.device), along.own(button)] if button

        device = fitting.device(sought["of"])
        [device, device && along.shared(device)]
      end
    end
  end
end
