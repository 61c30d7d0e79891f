# frozen_string_literal: true

module Kippen
  module Server
    module Store
      # All that is kept of one client, as one JSON file in pieces, so that years of
      # revisions need not fit into memory: every revision, listener and press, who may look, who did what.
      class Everything
        FORMAT = "client/1"

        def initialize(database, client)
          @database = database
          @client = client
        end

        # An Enumerator of text.
        def pieces
          Enumerator.new do |out|
            out << %({"kippen":"#{FORMAT}","client":#{JSON.generate(client)})
            parts.each do |name, rows|
              out << %(,"#{name}":[)
              rows.each_with_index { |row, index| out << (index.zero? ? "" : ",") << JSON.generate(plain(row)) }
              out << "]"
            end
            out << "}\n"
          end
        end

        private

        def client = plain(@database[:clients].select(:id, :name, :about, :revision, :seen_at, :created_at)[id: @client])

        def parts
          rows = { "revisions" => of(:revisions).order(:number), **heard, **tuned, "screens" => of(:screens).order(:host),
                   "carriers" => of(:carriers).order(:device), "handovers" => of(:handovers).order(:asked_at, :id),
                   "viewers" => @database[:accounts].where(id: of(:viewings).select(:account_id)).select(:name, :email),
                   "audit" => of(:audit).order(:id).select(:author, :what, :detail, :at) }
          rows.to_h { |name, dataset| [name, paged(dataset, name == "revisions")] }
        end

        def heard
          listeners = of(:listeners)
          streams = @database[:streams].where(listener_id: listeners.select(:id))
          { "listeners" => listeners.order(:created_at),
            "bindings" => @database[:bindings].where(listener_id: listeners.select(:id)).order(:listener_id, :heard),
            "streams" => streams.order(:started_at),
            "messages" => @database[:messages].where(stream_id: streams.select(:id)).order(:stream_id, :number) }
        end

        def tuned
          trials = @database[:trials].where(sitting_id: of(:sittings).select(:id))
          { "sittings" => of(:sittings).order(:began_at), "trials" => trials.order(:sitting_id, :number),
            "fits" => of(:fits).order(:created_at),
            "evidence" => of(:evidence).order(:number) }
        end

        def of(table) = @database[table].where(client_id: @client)

        # So many rows at a time, by a cursor of the database: one where it may be large.
        def paged(rows, large) = rows.use_cursor(rows_per_fetch: large ? 1 : 1000)

        def plain(row)
          row.transform_values do |value|
            case value
            when Time then Times.iso(value)
            when Sequel::Postgres::JSONBHash then value.to_hash
            when Sequel::Postgres::JSONBArray then value.to_a
            else value
            end
          end
        end
      end
    end
  end
end
