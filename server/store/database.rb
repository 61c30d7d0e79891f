# frozen_string_literal: true

module Kippen
  module Server
    # The way to PostgreSQL, and what the stores have in common.
    module Store
      # Asked for something that isn't there.
      class Missing < Kippen::Error; end

      # Somebody saved in between what stands against it; +newest+ is the revision that is in force
      # now. mine, theirs – sentences on both sides
      class Conflict < Kippen::Error
        attr_reader :newest, :mine, :theirs

        def initialize(newest, mine: [], theirs: [])
          @newest = newest
          @mine = mine
          @theirs = theirs
          super("revision #{newest[:number]} was saved in between")
        end
      end

      MIGRATIONS = File.join(__dir__, "migrations")
      UUID = /\A\h{8}-\h{4}-\h{4}-\h{4}-\h{12}\z/

      # url – postgres://…; returns a Sequel::Database
      def self.connect(url)
        database = Sequel.connect(url, max_connections: 10, preconnect: false)
        (@connected ||= []) << database
        database.extension(:pg_array, :pg_json, :connection_validator)
        database.pool.connection_validation_timeout = 60
        database
      end

      # Leaves every connection; who goes on makes its own.
      def self.disconnect = (@connected || []).each(&:disconnect)

      def self.migrate(database)
        Sequel.extension(:migration)
        Sequel::Migrator.run(database, MIGRATIONS)
      end

      def self.uuid(id, what)
        UUID.match?(id) ? id : raise(Missing, "no #{what} #{id.slice(0, 60)}")
      end
    end
  end
end
