# frozen_string_literal: true

module Kippen
  module Server
    module Store
      # Who changed what, in the order it happened.
      class Audit
        MOST_SHOWN = 100

        def initialize(database) = @database = database

        # account – a Store::Accounts::Account; what – in words, without anything of the client in it
        def note(account, what, client: nil, **detail)
          @database[:audit].insert(service_id: account.service, account_id: account.id, author: account.name, what:,
                                   client_id: client, detail: Sequel.pg_jsonb(detail.transform_keys(&:to_s)))
        end

        # What Rodauth tells; account – its row.
        def self.sign_in(database, account, what)
          database[:audit].insert(service_id: account[:service_id], account_id: account[:id], author: account[:name], what:)
        end

        # Newest first; before – only what is older than this number; client – only what is about this one.
        def page(service, before: nil, client: nil)
          rows = @database[:audit].where(service_id: service).reverse(:id).limit(MOST_SHOWN)
          rows = rows.where { id < before } if before
          rows = rows.where(client_id: client) if client
          rows.select(:id, :author, :client_id, :what, :detail, :at).all
        end
      end
    end
  end
end
