# frozen_string_literal: true

module Kippen
  module Server
    module Store
      # Fits of timing: what they are made from, how far they have come, what came of them. Worked out by the worker.
      class Fits
        # So often one is tried again whose worker died.
        ATTEMPTS = 3
        SHOWN = 30
        OPEN = %w[waiting working].freeze
        # Of a result, as it is kept.
        FORMAT = "fit/2"

        # Somebody else works on it, or nobody wants it any more.
        class Stopped < Kippen::Error; end

        # Can a fit's row be told as it was kept?
        def self.readable?(row) = promised?(row) && row[:result]["kippen"] == FORMAT

        # Can what it promised be told? Of older ones too: revisions rest on them.
        def self.promised?(row)
          row[:result].respond_to?(:dig) && row[:result]["expected"].respond_to?(:key?) && row[:result]["expected"]["right"].is_a?(Numeric)
        end

        # line – puts one in line to be worked on: takes its id, the edges of its trials, how many wait before it
        def initialize(database, line: nil)
          @database = database
          @line = line
        end

        # A fit's row. Raises Missing.
        def find(id) = @database[:fits].first(id: Store.uuid(id, "fit")) || raise(Missing, "no fit #{id}")

        # The same fit of the same trials where it has been made or is being made; else it is put in line.
        # file – trials/1. Returns its row.
        def want(client, button:, sittings:, file:, price:, fixed:, author:)
          digest = Digest::SHA256.hexdigest(JSON.generate([button, file, price, fixed.sort]))
          Store.transaction(@database) do
            Save.lock(@database, client)
            made = @database[:fits].where(client_id: client, digest:, give_up: false).exclude(state: "failed").reverse(:created_at).find do |row|
              row[:result].nil? || Fits.readable?(row)
            end
            made || put(client, digest, button:, sittings:, file:, price:, fixed:, author:)
          end
        end

        # The last ones of a client, the newest first; without what they are made from.
        def latest(client)
          @database[:fits].where(client_id: client).reverse(:created_at).limit(SHOWN).select(:id, :button, :sittings, :state).all
        end

        # Nobody wants it any more.
        def give_up(id)
          @database[:fits].where(id:, state: OPEN).update(give_up: true)
          @database[:fits].where(id:, state: "waiting").update(state: "given_up", ended_at: Sequel::CURRENT_TIMESTAMP)
          told(find(id))
        end

        # Takes one to be worked on: its row, or nil where there is nothing to do. One that was tried often enough fails.
        def take(id)
          Store.transaction(@database) do
            row = @database[:fits].where(id:, state: OPEN).for_update.first or next
            next finish(row, "given_up") if row[:give_up]
            next finish(row, "failed", error: "It was begun #{ATTEMPTS} times and never came to an end.") if row[:attempts] >= ATTEMPTS

            @database[:fits].where(id:).update(state: "working", attempts: row[:attempts] + 1, done: 0)
            told(@database[:fits].first(id:))
          end
        end

        # How far it has come. Raises Stopped where it is another's by now, or given up.
        def progress(row, done, of)
          changed = @database[:fits].where(id: row[:id], attempts: row[:attempts], state: "working", give_up: false).update(done:, of:)
          raise Stopped, "given up" if changed.zero?

          told(row)
        end

        # state – "done", "failed" or "given_up". Only by who works on it.
        def finish(row, state, result: nil, error: nil)
          mine = @database[:fits].where(id: row[:id], attempts: row[:attempts], state: OPEN)
          mine.update(state:, error:, result: result && Sequel.pg_jsonb(result), ended_at: Sequel::CURRENT_TIMESTAMP)
          told(row)
          nil
        end

        # A revision rests on it. row – with :moved, where its timing was moved by hand from what was fitted
        def applied(row, number) = @database[:evidence].insert(client_id: row[:client_id], number:, fit_id: row[:id], moved: row.fetch(:moved, false))

        # When a fit of a client was applied last, or nil.
        def last_applied(client)
          revisions = Sequel[:revisions]
          @database[:evidence].join(:revisions, client_id: :client_id, number: :number).where(revisions[:client_id] => client).max(revisions[:created_at])
        end

        # { revision number => row of its fit }, without what it was made from
        def evidence(client, numbers)
          rows = @database[:evidence].join(:fits, id: :fit_id).where(Sequel[:evidence][:client_id] => client, number: numbers)
          rows.select(:number, :fit_id, :moved, :result, :trials).as_hash(:number)
        end

        private

        def put(client, digest, file:, sittings:, fixed:, **row)
          counted = file["trials"].filter_map { |one| one["id"] unless one["counted"] == false }
          made = @database[:fits].returning.insert(client_id: client, digest:, file: Sequel.pg_jsonb(file), sittings: Sequel.pg_jsonb(sittings),
                                                   fixed: Sequel.pg_jsonb(fixed), trials: Sequel.pg_jsonb(counted), **row).first
          edges = file["trials"].sum { |one| one["trace"].size }
          @line.call(made[:id], edges, in_line(client) - 1)
          told(made)
        end

        # How many of a client's service wait or are worked on.
        def in_line(client)
          service = @database[:clients].where(id: client).select(:service_id)
          @database[:fits].where(state: OPEN, client_id: @database[:clients].where(service_id: service).select(:id)).count
        end

        def told(row) = row.tap { News.tell(@database, row[:client_id], "fit", id: row[:id]) }
      end
    end
  end
end
