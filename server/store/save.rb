# frozen_string_literal: true

module Kippen
  module Server
    module Store
      # The one way a client's fitting is saved: lock the client, read, let it be changed, write,
      # count, note who did it; tell others and remember what was read once all of it is written.
      class Save
        # What a block makes of the head: the new Fitting, what its revision says of itself, and
        # whether it must be asked if the main job went elsewhere; fit – the row of the
        # one it rests on, or nil.
        Made = Struct.new(:fitting, :note, :about, :watch, :fit, keyword_init: true) do
          def initialize(fitting:, note: "", about: {}, watch: true, fit: nil) = super
        end

        def initialize(database) = @database = database

        # Takes a client's id and who saves: author – a name; account – for the audit trail, nil for
        # Kippen itself; page – which open page it was. Yields the Revisions::Head as it is under the
        # lock, and takes a Made. what, detail – for the audit trail. Returns the new revision without its document.
        # Raises Missing, and what the block raises; then nothing was saved.
        def on(client, author:, account: nil, page: nil, what: Words.say(:did_change_fitting), **detail)
          Store.transaction(@database) do
            Save.lock(@database, client)
            head = revisions.head(client)
            made = yield head
            saved = insert(client, head.newest, made, author:, page:)
            Fits.new(@database).applied(made.fit, saved[:number]) if made.fit
            confirmations.watch(client, head, saved[:number], made.fitting) if made.watch
            Audit.new(@database).note(account, what, client:, saved: saved[:number], **detail) if account
            saved
          end
        end

        # A new client with its first revision. Returns its id. Raises nothing of its own.
        def first(service, fitting, author:, note:, account: nil)
          Store.transaction(@database) do
            client = @database[:clients].returning(:id).insert(service_id: service).first.fetch(:id)
            insert(client, nil, Made.new(fitting:, note:), author:, page: nil)
            Audit.new(@database).note(account, Words.say(:did_take_in), client:) if account
            client
          end
        end

        # Holds a client for the transaction, so that one change follows another. Raises Missing.
        def self.lock(database, client)
          database[:clients].where(id: Store.uuid(client, "client")).lock_style(" FOR NO KEY UPDATE").get(:id) ||
            raise(Missing, Words.say(:no_client, id: client))
        end

        private

        def revisions = Revisions.new(@database)
        def confirmations = Confirmations.new(@database)

        def insert(client, newest, made, author:, page:)
          row = { client_id: client, number: (newest || 0) + 1, parent: newest, document: Sequel.pg_jsonb(made.fitting.document),
                  author:, note: made.note, page:, **made.about }
          saved = @database[:revisions].returning(*Revisions::ABOUT).insert(**row).first
          now = { revision: saved[:number], seen_at: saved[:created_at] }
          @database[:clients].where(id: client).update(**caseload(client, made.fitting), **now)
          News.tell(@database, client, "revision", number: saved[:number])
          @database.after_commit { Revisions::READ.keep(client, saved[:number], made.fitting) }
          saved
        end

        # What the caseload shows of a fitting.
        def caseload(client, fitting)
          who = fitting.document.fetch("client", {})
          { name: who["name"] || "", about: who["about"] || "", open: Sequel.pg_jsonb(revisions.standing(client, fitting)),
            kinds: Sequel.pg_array(fitting.devices.filter_map(&:kind).uniq, :text),
            offered: Sequel.pg_jsonb(OfferedApps.of(fitting)) }
        end
      end
    end
  end
end
