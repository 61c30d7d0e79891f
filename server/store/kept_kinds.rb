# frozen_string_literal: true

module Kippen
  module Server
    module Store
      # Kinds of device that a service keeps. Each save is an edition of its own, counted from 1; the newest is in force.
      # What a client's devices are of stands in its fitting: nothing here changes a fitting.
      class KeptKinds
        # Kinds that a service may keep, and editions of each that are.
        MOST = 200
        EDITIONS = 50

        # What hosts of a sort are, kept as one document among the kinds: see HostKinds::Own.
        HOSTS = "hosts"

        # Somebody saved another edition meanwhile. newest – its row
        class Newer < Kippen::Error
          attr_reader :newest

          def initialize(newest)
            @newest = newest
            super(Words.say(:newer_edition, author: newest[:author], edition: newest[:edition]))
          end
        end

        SHOWN = %i[id edition author at].freeze

        # account – a Store::Accounts::Account: only what its service keeps
        def initialize(database, account)
          @database = database
          @account = account
        end

        # [row with document and used, by how many clients], by name.
        def all
          rows = newest.exclude(document: nil).exclude(id: HOSTS).all
          used = used(rows.map { |row| row[:id] })
          rows.map { |row| row.merge(document: row[:document].to_hash, used: used.fetch(row[:id], 0)) }.sort_by do |row|
            row[:document]["name"]
          end
        end

        # The document of an edition, the newest where none is named. Raises Missing.
        def document(id, edition = nil)
          rows = edition ? of(id).where(edition:) : of(id).reverse(:edition)
          rows.get(:document)&.to_hash || raise(Missing, Words.say(:no_kind, id: Faults.show(id)))
        end

        # The editions of a kind, newest first: [{ id:, edition:, author:, at:, gone: }]. Raises Missing.
        def editions(id)
          rows = of(id).reverse(:edition).select(*SHOWN, Sequel.lit("document IS NULL").as(:gone)).all
          rows.empty? ? raise(Missing, Words.say(:no_kind, id: Faults.show(id))) : rows
        end

        # Keeps a document as the next edition. opened_on – the edition it was made from; nil: it is a new kind, which gets
        # an id of its own where its id is taken. Returns its row. Raises Invalid, Missing, Newer.
        def save(document, opened_on)
          checked(document)
          held do
            id = opened_on ? document["id"] : free_id(document)
            last = opened_on ? opened(id, opened_on) : 0
            insert(id, last + 1, document)
          end
        end

        # What hosts of a sort are: [document, row], each nil where nothing is said (any more).
        def hosts
          row = of(HOSTS).reverse(:edition).first
          [row && row[:document]&.to_hash, row]
        end

        # Keeps it as the next edition. Returns its row. Raises Invalid, Newer.
        def save_hosts(document, opened_on)
          faults = Faults.new
          HostKinds::Own.check(document, faults, "/document")
          faults.raise_any
          bounded(document)
          held { insert(HOSTS, (opened_on || of(HOSTS).any? ? opened(HOSTS, opened_on) : 0) + 1, document) }
        end

        # An edition that was, saved anew as the next one. Raises Missing, Newer.
        def put_back(id, edition, opened_on)
          held { insert(id, opened(id, opened_on) + 1, document(id, edition)) }
        end

        # Takes a kind away, kept among its editions. Raises Invalid where clients have devices of it, Missing, Newer.
        def remove(id, opened_on)
          held do
            last = opened(id, opened_on)
            count = used([id])[id]
            raise Invalid.at("/id", Words.say(:kind_of_clients, count:)) if count

            insert(id, last + 1, nil)
          end
        end

        private

        # One at a time for a service; who saves for one of its clients is not held up.
        def held(&)
          Store.transaction(@database) do
            @database[:services].where(id: @account.service).lock_style(" FOR NO KEY UPDATE").first
            yield
          end
        end

        def own = @database[:kinds].where(service_id: @account.service)
        def of(id) = own.where(id: id.to_s)

        def newest
          latest = own.group(:id).select(:id, Sequel.function(:max, :edition).as(:edition))
          own.where(%i[id edition] => latest)
        end

        def checked(document)
          faults = Faults.new
          Kippen::Kinds::Reader.read(document, faults, "/document")
          faults.raise_any
          bounded(document)
        end

        def bounded(document)
          return unless JSON.generate(document).bytesize > Limits::KIND_BYTES

          raise Invalid.at("/document", Words.say(:kind_too_large, most: Limits::KIND_BYTES))
        end

        def free_id(document)
          taken = [HOSTS, *KINDS.all.map(&:id)] | own.distinct.select_map(:id)
          raise Invalid.at("/document", Words.say(:kinds_full, most: MOST)) if newest.exclude(document: nil).count >= MOST

          taken.include?(document["id"]) ? Fitting::OwnIds.from(document["name"], taken, "kind") : document["id"]
        end

        # The number of the newest edition, where it is the one that was opened.
        def opened(id, edition)
          last = of(id).reverse(:edition).select(*SHOWN).first || raise(Missing, Words.say(:no_kind, id: Faults.show(id)))
          raise Newer, last unless last[:edition] == edition

          edition
        end

        def insert(id, edition, document)
          of(id).where { self.edition <= edition - EDITIONS }.delete
          kept = document&.except("by", "at")&.merge("id" => id, "edition" => edition)
          @database[:kinds].returning(*SHOWN).insert(
            service_id: @account.service, id:, edition:, document: kept &&
              Sequel.pg_jsonb(kept), account_id: @account.id, author: @account.name
          ).first
        end

        # { id => by how many clients it is used }
        def used(ids)
          return {} if ids.empty?

          kinds = Sequel.lit("unnest(kinds)")
          @database[:clients].where(service_id: @account.service).select(kinds.as(:kind)).from_self(alias: :used)
            .where(kind: ids).group_and_count(:kind)
            .to_hash(:kind, :count)
        end
      end
    end
  end
end
