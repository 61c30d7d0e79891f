# frozen_string_literal: true

module Kippen
  module Server
    module Store
      # What is proposed for a client, and what a service counts a day with. Worked out by the worker.
      class Proposals
        # Of a result, as it is kept.
        FORMAT = "proposal/1"
        # So many of a client are kept.
        KEPT = 5
        # Of each number of changes.
        COUNTED = %w[cost_s_a_day seconds wrong].freeze

        # Can a proposal's row be told as it was kept?
        def self.readable?(row)
          result = row[:result]
          return false unless result.respond_to?(:key?) && result["kippen"] == FORMAT && result["status"]

          %w[steps here rests_on rules].all? { |list| result.fetch(list, []).all?(Hash) } &&
            result.fetch("steps", []).all? { |step| step.values_at("changes", *COUNTED).all?(Numeric) }
        end

        # How far each has come: LongWork.
        attr_reader :work

        # line – puts one in line to be worked on: takes its id, how many wait before it
        def initialize(database, line: nil)
          @database = database
          @line = line
          @work = LongWork.new(database, :proposals, "proposal")
        end

        # Asks for one. What was asked for before and isn't done is given up. Returns its row.
        def want(client, revision:, pinned:, shut:, author:)
          Store.transaction(@database) do
            Save.lock(@database, client)
            of(client).where(state: LongWork::OPEN).select_map(:id).each { |id| @work.give_up(id) }
            row = @database[:proposals].returning.insert(client_id: client, revision:, author:, pinned: Sequel.pg_jsonb(pinned),
                                                         shut: Sequel.pg_jsonb(shut),
                                                         created_at: Sequel.function(:clock_timestamp)).first
            forget(client)
            @line.call(row[:id], before: @work.in_line(client) - 1)
            @work.tell(row)
          end
        end

        # The newest of a client, or nil.
        def newest(client) = of(client).reverse(:created_at).first

        # What a client's service counts with: Reach::Figures. What can't be read any more is as usual.
        def figures(client)
          service = @database[:clients].where(id: client).get(:service_id)
          Reach::Figures.from(said(service))
        rescue Invalid
          Reach::Figures.from
        end

        # What a service says of it: { name => value }, empty where nothing.
        def said(service) = @database[:services].where(id: service).get(:reach)&.to_hash || {}

        # Raises Invalid.
        def say(service, figures)
          Reach::Figures.from(figures)
          @database[:services].where(id: service).update(reach: Sequel.pg_jsonb(figures))
        end

        private

        def of(client) = @database[:proposals].where(client_id: Store.uuid(client, "client"))

        # The older ones, but those that are worked on.
        def forget(client)
          old = of(client).exclude(state: LongWork::OPEN).reverse(:created_at).offset(KEPT).select_map(:id)
          @database[:proposals].where(id: old).delete
        end
      end
    end
  end
end
