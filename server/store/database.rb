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
          super(Words.say(:saved_between, number: newest[:number]))
        end
      end

      MIGRATIONS = File.join(__dir__, "migrations")
      UUID = /\A\h{8}-\h{4}-\h{4}-\h{4}-\h{12}\z/

      # What went wrong is told without what was to be written: that is a client's.
      TERSE = ->(connection) { connection.set_error_verbosity(PG::PQERRORS_TERSE) }

      # A statement that stands alone is done again where it and others stood in each other's way, as a whole transaction is.
      module Alone
        TIMES = 5

        def execute(sql, opts = {}, &)
          tries = 0
          begin
            super
          rescue Sequel::SerializationFailure
            raise if in_transaction?(opts) || (tries += 1) > TIMES

            retry
          end
        end
      end

      # url – postgres://…; returns a Sequel::Database
      def self.connect(url)
        database = Sequel.connect(url, max_connections: 10, preconnect: false, after_connect: TERSE)
        (@connected ||= []) << database
        database.extend(Alone)
        database.extension(:pg_array, :pg_json, :date_arithmetic, :connection_validator)
        # Looked at whenever one is taken, once a request: one that broke meanwhile is nobody's trouble.
        database.pool.connection_validation_timeout = -1
        database
      end

      # Leaves every connection; who goes on makes its own.
      def self.disconnect = (@connected || []).each(&:disconnect)

      def self.migrate(database)
        Sequel.extension(:migration)
        Sequel::Migrator.run(database, MIGRATIONS)
      end

      # All of a block or nothing; within another, part of that. Where two stand in each other's way it is
      # done again, so the block must not do anything else than ask and write.
      def self.transaction(database, &)
        return database.transaction(savepoint: true, &) if database.in_transaction?

        database.transaction(retry_on: Sequel::SerializationFailure, num_retries: 5, &)
      end

      def self.uuid(id, what)
        UUID.match?(id) ? id : raise(Missing, Words.say(:no_such, what:, id: id.slice(0, 60)))
      end
    end
  end
end
