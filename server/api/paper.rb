# frozen_string_literal: true

module Kippen
  module Server
    # The fitting to be written down: the button card and the settings sheet.
    module PaperRoutes
      def self.registered(app)
        app.get("/api/clients/:client/paper") do
          fitting, revision = revisions.fitting(params["client"])
          json("client" => fitting.name, "revision" => revision[:number], "saved_at" => Times.iso(revision[:created_at]),
               "by" => revision[:author], "hosts" => fitting.hosts.map { |host| PaperRoutes.host(fitting, host) })
        end
      end

      def self.host(fitting, host)
        devices = fitting.devices.select { |device| device.host == host.id }
        { "id" => host.id, "name" => host.name || host.id, "devices" => devices.map { |device| device(fitting, device) } }
      end

      def self.device(fitting, device)
        kind = KNOWLEDGE.of(fitting).kinds.of(device)
        lines = Handover::ByHand.new(Handover::Carried.of(fitting, device, KNOWLEDGE), KNOWLEDGE).items
        { "id" => device.id, "name" => device.name || device.id, "off" => device.off,
          "drawing" => kind && RenderDevices.drawing(kind, device.variant),
          "rows" => Handover::Card.new(fitting, KNOWLEDGE).rows(device).map(&:plain),
          "lines" => lines.map { |line| line.plain.except("mark") } }
      end
      private_class_method :device
    end
  end
end
