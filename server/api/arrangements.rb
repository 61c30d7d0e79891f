# frozen_string_literal: true

module Kippen
  module Server
    # Ready-made arrangements, settings besides buttons, and what combinations of keys are.
    module ArrangementRoutes
      def self.registered(app)
        app.get("/api/clients/:client/arrangements") do
          fitting, = revisions.fitting(params["client"])
          json("arrangements" => ARRANGEMENTS.all(fitting).map { |one| ArrangementRoutes.arrangement(fitting, one) })
        end

        app.get("/api/clients/:client/settings") do
          fitting, = revisions.fitting(params["client"])
          json("of" => ArrangementRoutes.hosts(fitting) + ArrangementRoutes.devices(fitting))
        end

        app.get("/api/clients/:client/combinations") do
          fitting, = revisions.fitting(params["client"])
          found = COMBINATIONS.of(fitting).find(sought["keys"].split("+"))
          json("keys" => found.keys, "label" => found.label, "command" => found.command&.name, "kept" => found.kept,
               "apps" => found.apps.map { |entry| { "id" => entry.id, "name" => entry.name, "app" => entry.app } })
        end
      end

      def self.arrangement(fitting, one)
        devices = fitting.devices.select { |device| one.for?(device, fitting.host(device.host)) }
        { "id" => one.id, "name" => one.name, "own" => one.own, "good_for" => one.good_for, "costs" => one.costs,
          "asks" => one.asks, "devices" => devices.map(&:id) }
      end

      def self.hosts(fitting)
        fitting.hosts.zip(fitting.list("hosts")).filter_map do |host, item|
          item && { "of" => "host", "id" => host.id, "name" => host.name || host.id,
                    "settings" => settings(SETTINGS.of_host(host), item) }
        end
      end

      def self.devices(fitting)
        fitting.devices.zip(fitting.list("devices")).map do |device, item|
          { "of" => "device", "id" => device.id, "name" => device.name || device.id,
            "settings" => settings(SETTINGS.of_device(device), item) }
        end
      end

      def self.settings(settings, item)
        settings.map do |setting|
          setting.data.slice("id", "name", "type", "from", "to", "step", "unit", "choices", "usual", "good_for", "costs")
            .merge("value" => Settings.value(setting, item))
        end
      end
      private_class_method :settings
    end
  end
end
