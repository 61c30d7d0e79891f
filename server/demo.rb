# frozen_string_literal: true

module Kippen
  module Server
    # The made-up Saltmarsh Row service: three accounts and its clients, through the public formats.
    module Demo
      FOLDER = File.join(ROOT, "demo")
      SERVICE = "Saltmarsh Row"
      PEOPLE = {
        "lead" => ["Perpetua Quill", "lead@saltmarsh-row.example"],
        "specialist" => ["Hollis Amberwood", "specialist@saltmarsh-row.example"],
        "viewer" => ["Wilmot Tansy", "viewer@saltmarsh-row.example"]
      }.freeze

      # Does nothing where the demo is there already.
      def self.load(database)
        accounts = Store::Accounts.new(database)
        service = accounts.demo_service
        return if service && accounts.all(service).any?

        database.transaction do
          service ||= accounts.add_service(SERVICE, demo: true)
          people(accounts, service)
          save = Store::Save.new(database)
          fittings.each { |fitting| save.first(service, fitting, author: PEOPLE["specialist"].first, note: "Demo") }
          viewer = accounts.all(service).find { |row| row[:role] == "viewer" }
          accounts.change(service, viewer[:id], clients: database[:clients].where(service_id: service).order(:name).limit(1).select_map(:id))
        end
      end

      # Data of before there were accounts: the demo's service is there, nobody in it.
      def self.begun?(database)
        service = Store::Accounts.new(database).demo_service
        !service.nil? && database[:accounts].where(service_id: service).empty?
      end

      # Nobody knows the passwords: the demo opens by one press.
      def self.people(accounts, service)
        PEOPLE.each { |role, (name, email)| accounts.add(service, email:, name:, role:, password: SecureRandom.base64(24)) }
      end
      private_class_method :people

      def self.fittings = Dir[File.join(FOLDER, "*.fitting.json")].map { |file| Formats::FittingJson.read(File.read(file)) }
    end
  end
end
