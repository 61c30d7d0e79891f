# frozen_string_literal: true

module Kippen
  module Server
    module Store
      # Fits of timing: what they are made from and what came of them. Worked out by the worker.
      class Fits
        SHOWN = 30
        # Of a result, as it is kept.
        FORMAT = "fit/2"

        # Can a fit's row be told as it was kept?
        def self.readable?(row) = promised?(row) && row[:result]["kippen"] == FORMAT

        # Can what it promised be told? Of older ones too: revisions rest on them.
        def self.promised?(row)
          row[:result].respond_to?(:key?) && row[:result]["expected"].respond_to?(:key?) &&
            row[:result]["expected"]["right"].is_a?(Numeric)
        end

        # How far each has come: LongWork.
        attr_reader :work

        # line – puts one in line to be worked on: takes its id, the edges of its trials, how many wait before it
        def initialize(database, line: nil)
          @database = database
          @line = line
          @work = LongWork.new(database, :fits, "fit")
        end

        # A fit's row. Raises Missing.
        def find(id) = @work.find(id)

        # The same fit of the same trials where it has been made or is being made; else it is put in line.
        # file – trials/1. Returns its row.
        def want(client, button:, sittings:, file:, price:, fixed:, author:)
          digest = Digest::SHA256.hexdigest(JSON.generate([button, file, price, fixed.sort]))
          Store.transaction(@database) do
            Save.lock(@database, client)
            made = @database[:fits].where(client_id: client, digest:,
                                          give_up: false).exclude(state: "failed").reverse(:created_at).find do |row|
              row[:result].nil? || Fits.readable?(row)
            end
            made || put(client, digest, button:, sittings:, file:, price:, fixed:, author:)
          end
        end

        # The last ones of a client, the newest first; without what they are made from.
        def latest(client)
          @database[:fits].where(client_id: client).reverse(:created_at).limit(SHOWN).select(:id, :button, :sittings, :state).all
        end

        # A revision rests on it. row – with :moved, where its timing was moved by hand from what was fitted
        def applied(row, number)
          @database[:evidence].insert(client_id: row[:client_id], number:, fit_id: row[:id], moved: row.fetch(:moved, false))
        end

        # When a fit of a client was applied last, or nil.
        def last_applied(client)
          revisions = Sequel[:revisions]
          applied = @database[:evidence].join(:revisions, client_id: :client_id, number: :number)
          applied.where(revisions[:client_id] => client).max(revisions[:created_at])
        end

        # { revision number => row of its fit }, without what it was made from
        def evidence(client, numbers)
          rows = @database[:evidence].join(:fits, id: :fit_id).where(Sequel[:evidence][:client_id] => client, number: numbers)
          rows.select(:number, :fit_id, :moved, :result, :trials).as_hash(:number)
        end

        private

        def put(client, digest, file:, sittings:, fixed:, **row)
          counted = file["trials"].filter_map { |one| one["id"] unless one["counted"] == false }
          made = @database[:fits].returning.insert(client_id: client, digest:, file: Sequel.pg_jsonb(file),
                                                   sittings: Sequel.pg_jsonb(sittings),
                                                   fixed: Sequel.pg_jsonb(fixed), trials: Sequel.pg_jsonb(counted), **row).first
          edges = file["trials"].sum { |one| one["trace"].size }
          @line.call(made[:id], edges:, before: @work.in_line(client) - 1)
          @work.tell(made)
        end
      end
    end
  end
end
