# frozen_string_literal: true

module Kippen
  module Server
    module Store
      # Saved states of a client's fitting: unchangeable, numbered from 1, each on its parent.
      class Revisions
        ABOUT = %i[number parent author note created_at].freeze

        # Fittings read lately. A revision never changes, so what was read of it stays true.
        class Read
          MOST = 50

          def initialize
            @fittings = {}
            @lock = Mutex.new
          end

          # Keyed by what a revision is; the block reads it where it isn't there.
          def read(client, number)
            key = [client, number]
            @lock.synchronize { @fittings[key] } || yield.tap { |fitting| keep(key, fitting) }
          end

          # Drops what was read of a client.
          def forget(client) = @lock.synchronize { @fittings.delete_if { |(id, _), _| id == client } }

          private

          def keep(key, fitting)
            @lock.synchronize do
              @fittings.delete(@fittings.first[0]) if @fittings.size >= MOST
              @fittings[key] = fitting
            end
          end
        end

        READ = Read.new

        def initialize(database) = @database = database

        # The newest revision: { number:, parent:, author:, note:, created_at:, document: }.
        # Raises Missing for an unknown client.
        def newest(client)
          of(client).reverse(:number).select(*ABOUT, :document).first || raise(Missing, "no client #{client}")
        end

        # The Fitting in force and what is known of its revision.
        def fitting(client)
          row = of(client).reverse(:number).select(*ABOUT).first || raise(Missing, "no client #{client}")
          [at(client, row[:number]), row]
        end

        # The Fitting of any revision. Raises Missing.
        def at(client, number) = READ.read(client, number) { Fitting.read(document(client, number)) }

        # Saves a fitting on its parent's number (nil for the first). Returns the new
        # revision without its document. Raises Conflict where the parent isn't the newest:
        # asked first, and held by the database where two save at the same moment.
        # more – how: and what goes with it, see History
        def add(client, parent, fitting, author:, note:, **more)
          @database.transaction(savepoint: true) do
            newest = newest(client).except(:document) if parent
            raise Conflict, newest unless newest.nil? || newest[:number] == parent

            insert(client, parent, fitting, author:, note:, **more)
          end
        rescue Sequel::UniqueConstraintViolation
          raise Conflict, newest(client).except(:document)
        end

        # What is open with a client just now; written down for the caseload where it has changed.
        def open(client, fitting)
          open = Standing.open(fitting, KINDS, Streams.new(@database).contacts(client, fitting))
          @database[:clients].where(id: client).exclude(open: Sequel.pg_jsonb(open)).update(open: Sequel.pg_jsonb(open))
          open
        end

        private

        # What the caseload shows of a fitting.
        def caseload(client, fitting)
          who = fitting.document.fetch("client", {})
          open = Standing.open(fitting, KINDS, Streams.new(@database).contacts(client, fitting))
          { name: who["name"] || "", about: who["about"] || "", open: Sequel.pg_jsonb(open) }
        end

        def document(client, number)
          of(client).where(number:).get(:document)&.to_hash || raise(Missing, "no revision #{number}")
        end

        def insert(client, parent, fitting, **about)
          document = Sequel.pg_jsonb(fitting.document)
          saved = @database[:revisions].returning(*ABOUT)
            .insert(client_id: client, number: (parent || 0) + 1, parent:, document:, **about).first
          @database[:clients].where(id: client).update(**caseload(client, fitting), revision: saved[:number], seen_at: saved[:created_at])
          News.tell(@database, client, "revision", number: saved[:number])
          saved
        end

        def of(client) = @database[:revisions].where(client_id: Store.uuid(client, "client"))
      end
    end
  end
end
