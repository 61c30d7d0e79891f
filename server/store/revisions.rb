# frozen_string_literal: true

module Kippen
  module Server
    module Store
      # Saved states of a client's fitting: unchangeable, numbered from 1, each on its parent. Written
      # by Save alone.
      class Revisions
        ABOUT = %i[number parent author note created_at page].freeze

        # The state in force. fitting, row – of the newest revision that can be read; newest – the
        # number of the newest of all; unreadable – numbers of those after it, which stay as they are
        Head = Struct.new(:fitting, :row, :newest, :unreadable, keyword_init: true) do
          def number = row[:number]
        end

        # Fittings read lately. A revision never changes, so what was read of it stays true; kept
        # is only what has been written for good.
        class Read
          MOST = 500
          # Of all documents together, as JSON; read, and with what was worked out of them, they take some thirty times as much.
          MOST_BYTES = 5_000_000

          def initialize
            @fittings = {}
            @bytes = 0
            @lock = Mutex.new
          end

          def find(client, number) = @lock.synchronize { @fittings[[client, number]]&.first }

          def keep(client, number, fitting)
            bytes = fitting.recall(:bytes) { JSON.generate(fitting.document).bytesize }
            @lock.synchronize do
              drop([client, number])
              @fittings[[client, number]] = [fitting, bytes]
              @bytes += bytes
              # The newest stays, however large it is.
              drop(@fittings.first[0]) while @fittings.size > MOST || (@bytes > MOST_BYTES && @fittings.size > 1)
            end
          end

          # Drops what was read of a client.
          def forget(client) = @lock.synchronize { @fittings.keys.select { |key| key.first == client }.each { |key| drop(key) } }

          private

          def drop(key)
            gone = @fittings.delete(key)
            @bytes -= gone.last if gone
          end
        end

        READ = Read.new

        def initialize(database) = @database = database

        # The Head of a client. Raises Missing for an unknown one.
        def head(client)
          unreadable = []
          while (row = newest(client, below: unreadable.last))
            begin
              return Head.new(fitting: at(client, row[:number]), row:, newest: unreadable.first || row[:number], unreadable:)
            rescue Invalid
              unreadable << row[:number]
            end
          end
          raise(Missing, Words.say(:no_client, id: client)) if unreadable.empty?

          raise Missing, Words.say(:none_readable, count: unreadable.size)
        end

        # The Fitting in force and what is known of its revision.
        def fitting(client) = head(client).then { |head| [head.fitting, head.row] }

        # The Fitting of any revision. Raises Missing, Invalid.
        def at(client, number)
          READ.find(client, number) || Fitting.read(document(client, number)).tap do |fitting|
            # What is read while something is being saved may never be written.
            READ.keep(client, number, fitting) unless @database.in_transaction?
          end
        end

        # The document as it was saved. Raises Missing.
        def document(client, number)
          of(client).where(number:).get(:document)&.to_hash || raise(Missing, "no revision #{number}")
        end

        # What others than a page saved after a revision: [[Fitting before, after]…]; where they are
        # more than MOST_APART, as one.
        MOST_APART = 50
        def others(client, after, page)
          rows = of(client).where { number > after }
          theirs = page ? rows.where(Sequel.|({ page: nil }, Sequel.~(page:))) : rows
          numbers = theirs.order(:number).limit(MOST_APART + 1).select_map(:number)
          return [[after, rows.max(:number)]].map { |pair| pair.map { |number| at(client, number) } } if numbers.size > MOST_APART

          numbers.filter_map do |number|
            [at(client, number - 1), at(client, number)]
          rescue Invalid
            # What can't be read is not in force, so nobody meets it.
            nil
          end
        end

        # What is open with a client just now; written down for the caseload where it has changed.
        def open(client, fitting)
          open = standing(client, fitting)
          @database[:clients].where(id: client).exclude(open: Sequel.pg_jsonb(open)).update(open: Sequel.pg_jsonb(open))
          open
        end

        # The same, only counted.
        def standing(client, fitting) = Standing.open(fitting, KNOWLEDGE, Streams.new(@database).contacts(client, fitting))

        private

        def newest(client, below:)
          rows = of(client).reverse(:number).select(*ABOUT)
          (below ? rows.where { number < below } : rows).first
        end

        def of(client) = @database[:revisions].where(client_id: Store.uuid(client, "client"))
      end
    end
  end
end
