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

      # Whose presses there are, what was asked, and how many.
      PRESSED = "pocket-phone/edge"
      ASKED = %w[tap double_tap tap long_press rest].freeze
      COUNT = 30
      SEED = 11

      # Does nothing where the demo is there already.
      def self.load(database)
        accounts = Store::Accounts.new(database)
        service = accounts.demo_service
        return if service && accounts.all(service).any?

        database.transaction do
          service ||= accounts.add_service(SERVICE, demo: true)
          people(accounts, service)
          save = Store::Save.new(database)
          fittings.each do |fitting|
            client = save.first(service, fitting, author: PEOPLE["specialist"].first, note: "Demo")
            presses(database, client, fitting) if fitting.button(PRESSED)
          end
          viewer = accounts.all(service).find { |row| row[:role] == "viewer" }
          accounts.change(service, viewer[:id],
                          clients: database[:clients].where(service_id: service).order(:name).limit(1).select_map(:id))
        end
      end

      # So that there is something to tune from: presses of the client's stand-in hand, each sort in turn.
      def self.presses(database, client, fitting)
        hand = Standins::Hand.new(fitting.hands.first, SEED)
        store = Store::Sittings.new(database)
        with = fitting.device(fitting.button(PRESSED).device).worked_with
        row = { button: PRESSED, way: "file", whose: "client", offered: ASKED - Tuning::STILL,
                author: PEOPLE["specialist"].first }
        store.begin_ended(client, **row) do |sitting|
          COUNT.times do |number|
            intended = ASKED[number % ASKED.size]
            trace = hand.play("contact", [intended]).reject { |event| event.kind == Press::Bench::TOLD }.map do |event|
              [event.time_us, event.kind]
            end
            store.add_trial(sitting, number:, intended:, trace: Store::Sittings.relative(trace), worked_with: with,
                                     heard_by: StandinRoutes::LISTENER)
          end
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
      private_class_method :people, :presses

      def self.fittings = Dir[File.join(FOLDER, "*.fitting.json")].map { |file| Formats::FittingJson.read(File.read(file)) }
    end
  end
end
