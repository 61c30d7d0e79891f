# frozen_string_literal: true

module Kippen
  module Server
    module Store
      # Clients. What stands in the caseload is kept beside the fitting, brought up to date
      # with every revision, so that a thousand clients are listed without reading a thousand fittings.
      class Clients
        PAGE = 50
        SHOWN = %i[id name about revision open seen_at].freeze

        # The clients an account may look at: its service's; a viewer's those named to them.
        def self.in_sight(database, account)
          own = database[:clients].where(service_id: account.service)
          return own unless account.role == "viewer"

          own.where(id: database[:viewings].where(account_id: account.id).select(:client_id))
        end

        def initialize(database) = @database = database

        # One page of the caseload, last seen first: [{ id:, name:, about:, revision:, open:, seen_at: }],
        # and whether there are more. search – words that all must stand in name or description.
        def page(account, search: "", page: 1)
          rows = listed(account, search).limit(PAGE + 1).offset((page - 1) * PAGE).all
          [rows.first(PAGE), rows.size > PAGE]
        end

        # The dataset behind a page.
        def listed(account, search)
          words = search.downcase.split.first(8)
          words.reduce(Clients.in_sight(@database, account)) do |rows, word|
            rows.where(Sequel.lit("words LIKE ?", "%#{rows.escape_like(word)}%"))
          end
            .order(Sequel.desc(:seen_at), :id).select(*SHOWN)
        end

        # The client was worked with just now.
        def seen(id) = @database[:clients].where(id:).update(seen_at: Sequel::CURRENT_TIMESTAMP)

        # What there is of a client, counted: what goes when it is erased.
        def holdings(id)
          sittings = @database[:sittings].where(client_id: id)
          listeners = @database[:listeners].where(client_id: id)
          streams = @database[:streams].where(listener_id: listeners.select(:id))
          { revisions: @database[:revisions].where(client_id: id).count, listeners: listeners.count, streams: streams.count,
            presses: @database[:messages].where(stream_id: streams.select(:id)).count,
            trials: @database[:trials].where(sitting_id: sittings.select(:id)).count,
            viewers: @database[:viewings].where(client_id: id).count }
        end

        # Erases a client with everything, also while it is worked with. That it was is remembered by its id alone: what
        # is restored from a back-up is erased again by it. Whoever stands in the way is waited for, or one of both begins anew.
        def erase(id)
          Store.transaction(@database) do
            hold(id)
            @database[:erasures].insert_conflict.insert(client_id: id)
            @database[:audit].where(client_id: id).delete
            Carriers.new(@database).let_go(id)
            @database[:clients].where(id:).delete
            News.rights(@database)
            @database.after_commit { Revisions::READ.forget(id) }
          end
        end

        private

        # In the order in which a press takes them: its stream before its client.
        def hold(id)
          listeners = @database[:listeners].where(client_id: id).select(:id)
          @database[:streams].where(listener_id: listeners).order(:id).for_update.select_map(:id)
          Save.lock(@database, id)
        end
      end
    end
  end
end
