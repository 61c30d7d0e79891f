# frozen_string_literal: true

module Kippen
  module Server
    module Store
      # Apps with their own commands that clients of a service offer to each other. Whose they are is not told.
      class OfferedApps
        MOST_CLIENTS = 500
        MOST = 100

        def initialize(database) = @database = database

        # What a fitting offers: [{ "name", "hosts", "commands" => [{ "name", "keys" }] }].
        def self.of(fitting)
          offered = fitting.list("apps").select { |item| item["offered"] == true }.map { |item| item["id"] }
          fitting.apps.select { |app| offered.include?(app.id) }.map do |app|
            { "name" => app.name, "hosts" => app.hosts,
              "commands" => app.commands.map { |one| { "name" => one.name, "keys" => one.keys } } }
          end
        end

        # The same of all other clients of the service, but for those that a client has already: an app that several offer
        # is one, with the commands of all. client – its id
        def to(client, fitting)
          have = fitting.apps.map { |app| Changes::NamedApp.like(app.name) }
          by_name = rows(client).group_by { |app| Changes::NamedApp.like(app["name"]) }.except(*have)
          by_name.values.first(MOST).map { |apps| together(apps) }.sort_by { |app| app["name"] }
        end

        private

        def rows(client)
          service = @database[:clients].where(id: client).select(:service_id)
          @database[:clients].where(service_id: service).exclude(id: client).exclude(offered: Sequel.pg_jsonb([]))
            .reverse(:seen_at).limit(MOST_CLIENTS)
            .select_map(:offered).flat_map(&:to_a)
        end

        def together(apps)
          commands = apps.flat_map { |app| app["commands"] }.uniq { |one| Changes::NamedApp.like(one["name"]) }
          { "name" => apps[0]["name"], "hosts" => apps.flat_map { |app| app["hosts"] }.uniq,
            "commands" => commands.first(Fitting::AppsReader::COMMANDS) }
        end
      end
    end
  end
end
