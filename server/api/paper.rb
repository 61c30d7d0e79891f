# frozen_string_literal: true

module Kippen
  module Server
    # The fitting to be written down: the button card and the settings sheet.
    module PaperRoutes
      SHEETS = { "card" => Paper::CardPdf, "settings" => Paper::SettingsPdf }.freeze

      def self.registered(app)
        app.get("/api/clients/:client/paper") { json(PaperRoutes.paper(*revisions.fitting(params["client"]))) }

        app.get("/api/clients/:client/pdf") do
          paper = PaperRoutes.chosen(PaperRoutes.paper(*revisions.fitting(params["client"])), sought["only"])
          what = sought.fetch("what", "card")
          headers "content-type" => "application/pdf", "content-disposition" => %(attachment; filename="#{what}.pdf")
          body PaperRoutes::SHEETS.fetch(what).new(paper, size: sought.fetch("size", "a4"), large: sought["large"] == true,
                                                          plain: sought["plain"] == true, at: Times.iso(Time.now)).render
        end
      end

      # row – of the revision
      def self.paper(fitting, row)
        { "client" => fitting.name, "revision" => row[:number], "saved_at" => Times.iso(row[:created_at]), "by" => row[:author],
          "hosts" => fitting.hosts.map { |host| host(fitting, host) } }
      end

      # only – ids of devices with commas between, or nil: all
      def self.chosen(paper, only)
        return paper if only.nil?

        ids = only.split(",")
        hosts = paper["hosts"].map { |host| host.merge("devices" => host["devices"].select { |one| ids.include?(one["id"]) }) }
        paper.merge("hosts" => hosts.reject { |host| host["devices"].empty? })
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
      private_class_method :host, :device
    end
  end
end
