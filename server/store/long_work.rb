# frozen_string_literal: true

module Kippen
  module Server
    module Store
      # Long work, whatever it does, as it lies in a table of its own: how often each piece was begun, by whom it is worked
      # on, how far it has come, whether anybody still wants it, what came of it. Such a table has client_id, state,
      # attempts, done, of, give_up, error and ended_at; whoever works is known by how often it was begun.
      class LongWork
        # So often one is tried again whose worker died.
        ATTEMPTS = 3
        OPEN = %w[waiting working].freeze

        # Somebody else works on it, or nobody wants it any more.
        class Stopped < Kippen::Error; end

        # name – what a piece is called, in News and where it is missing
        def initialize(database, table, name)
          @database = database
          @table = table
          @name = name
        end

        # A piece's row. Raises Missing.
        def find(id) = rows.first(id: Store.uuid(id, @name)) || raise(Missing, Words.say(:no_such, what: @name, id:))

        # Nobody wants it any more.
        def give_up(id)
          rows.where(id:, state: OPEN).update(give_up: true)
          rows.where(id:, state: "waiting").update(state: "given_up", ended_at: Sequel::CURRENT_TIMESTAMP)
          tell(find(id))
        end

        # Takes one to be worked on: its row, or nil where there is nothing to do. One that was tried often enough fails.
        def take(id)
          Store.transaction(@database) do
            row = rows.where(id:, state: OPEN).for_update.first or next
            next finish(row, "given_up") if row[:give_up]
            next finish(row, "failed", error: Words.say(:never_ended, count: ATTEMPTS)) if row[:attempts] >= ATTEMPTS

            rows.where(id:).update(state: "working", attempts: row[:attempts] + 1, done: 0)
            tell(rows.first(id:))
          end
        end

        # How far it has come. Raises Stopped where it is another's by now, or given up.
        def progress(row, done, of)
          changed = rows.where(id: row[:id], attempts: row[:attempts], state: "working", give_up: false).update(done:, of:)
          raise Stopped, Words.say(:given_up) if changed.zero?

          tell(row)
        end

        # state – "done", "failed" or "given_up"; made – what else its row gets. Only by who works on it.
        def finish(row, state, **made)
          mine = rows.where(id: row[:id], attempts: row[:attempts], state: OPEN)
          mine.update(state:, ended_at: Sequel::CURRENT_TIMESTAMP, **made)
          tell(row)
          nil
        end

        # How many of a client's service wait or are worked on.
        def in_line(client)
          service = @database[:clients].where(id: client).select(:service_id)
          rows.where(state: OPEN, client_id: @database[:clients].where(service_id: service).select(:id)).count
        end

        # Tells whoever listens that something of it is another. Returns the row.
        def tell(row) = row.tap { News.tell(@database, row[:client_id], @name, id: row[:id]) }

        private

        def rows = @database[@table]
      end
    end
  end
end
