# frozen_string_literal: true

module Kippen
  module Server
    module Store
      # Days on which a client's fitting was worked on, and what became of it since one of them.
      class Visits
        SHOWN = 30
        # So many revisions are told one by one.
        TOLD = 60
        UNDONE = %w[undo restore].freeze

        def initialize(database, client)
          @database = database
          @client = client
        end

        # The last revision of each day, the newest first: [{ number:, created_at:, author: }]
        def days
          day = Sequel.function(:date_trunc, "day", :created_at)
          last = all.distinct(day).order(Sequel.desc(day), Sequel.desc(:number)).select(:number, :created_at, :author)
          last.limit(SHOWN).all
        end

        # Since when is usually asked: since the last day before the newest; else since the beginning.
        def usual = (days[1] || all.order(:number).select(:number, :created_at, :author).first)[:number]

        # [row] of the revisions after one, the oldest first; of very many the newest.
        def since(number)
          all.where { Sequel[:number] > number }.reverse(:number).limit(TOLD)
            .select(:number, :parent, :created_at, :author, :note, :how, :took_back).all.reverse
        end

        # The fits and hand-overs that were given up or went wrong since a time: [{ what:, device or button:, at:, by: }]
        def given_up(time)
          fits = @database[:fits].where(client_id: @client, state: %w[given_up failed]).where { ended_at > time }
          handovers = @database[:handovers].where(client_id: @client, state: %w[given_up failed]).where { ended_at > time }
          fits.select_map(%i[button ended_at author]).map { |of, at, by| { what: "fit", of:, at:, by: } } +
            handovers.select_map(%i[device ended_at author]).map { |of, at, by| { what: "handover", of:, at:, by: } }
        end

        private

        def all = @database[:revisions].where(client_id: @client)
      end
    end
  end
end
