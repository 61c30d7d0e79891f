# frozen_string_literal: true

module Kippen
  module Server
    module Store
      # A client's whole file (client/1), taken into a client that is here: the fitting it ends with becomes the next revision,
      # and what was heard, tried, fitted and handed over comes in as far as it isn't here. What is here stays; so taken in
      # twice it changes nothing. All of it or nothing.
      class TakeInto
        # By what a row is known again: it happened then, there.
        SAME = { listeners: %i[name created_at], streams: %i[listener_id started_at], sittings: %i[button began_at],
                 fits: %i[button created_at], carriers: %i[device], handovers: %i[carrier_id asked_at],
                 hand_ticks: %i[device key at] }.freeze
        # With the row they belong to, or not at all.
        ALONG = { bindings: :listener_id, messages: :stream_id, trials: :sitting_id }.freeze
        TIMES = %i[created_at started_at began_at asked_at at].freeze
        ORDER = %i[listeners bindings streams messages sittings trials fits carriers handovers hand_ticks].freeze

        # what is told before: differences – sentences; counts – { table => rows that come in }; own – is the file of this very
        # client? moved – [sentence…] of what must be known
        Look = Struct.new(:result, :counts, :own, keyword_init: true)

        def initialize(database, client, service)
          @database = database
          @client = client
          @service = service
        end

        # What taking it in would change; nothing is. Raises Invalid, Missing.
        def look(file, **making)
          looked = nil
          @database.transaction(savepoint: true, rollback: :always) { looked = put(file, **making) }
          looked
        end

        # account – who takes it in; seen – the revision that was shown. Returns the new revision's row, or nil where the fitting
        # is the same. Raises Invalid, Missing, Conflict.
        def take(file, account:, seen:, **making)
          Store.transaction(@database) do
            Save.lock(@database, @client)
            head = Revisions.new(@database).head(@client)
            raise Conflict.new(head.row, mine: [], theirs: []) unless head.number == seen

            looked = put(file, **making)
            Audit.new(@database).note(account, Words.say(:did_take_into), client: @client)
            save(looked.result, account) if looked.result.touched.any?
          end
        end

        private

        def save(result, account)
          Save.new(@database).on(@client, author: account.name, account:, change: "import") do
            Save::Made.new(fitting: result.fitting, note: Words.say(:note_taken_into))
          end
        end

        def put(file, **making)
          WholeRows.check(file)
          head = Revisions.new(@database).head(@client)
          last = file.fetch("revisions", []).last
          WholeRows.bad("/revisions", Words.say(:no_history)) unless last && last["document"].is_a?(Hash)
          result = Changes.make(head.fitting, Changes::Import.new(document: last["document"]), **making)
          Look.new(result:, counts: rows(file), own: file.dig("client", "id") == @client)
        end

        # { table => how many came in }
        def rows(file)
          @rows = WholeRows.new(@database, @client, @service)
          @new = Hash.new { |all, table| all[table] = Set.new }
          ORDER.to_h { |table| [table, @rows.put(table, fresh(table, file))] }
        end

        # [[row, index]…] of those that aren't here.
        def fresh(table, file)
          list = file.fetch(table.to_s, []).each_with_index.to_a
          return list.select { |row, _| along?(table, row) } if ALONG.key?(table)

          list.select do |row, index|
            next false unless @rows.belongs?(table, row) && (table != :handovers || same_revision?(row, file))

            here = find(table, row, index)
            here ? @rows.same(table, row["id"], here[:id]) : @new[table] << row["id"]
            here.nil?
          end
        end

        def along?(table, row)
          column = ALONG[table]
          @new[WholeRows::SPOKEN[column]].include?(row[column.to_s])
        end

        # Numbers of revisions are only the same where the history is.
        def same_revision?(row, file)
          theirs = file["revisions"].find { |one| one["number"] == row["revision"] } or return false
          ours = @database[:revisions].where(client_id: @client, number: row["revision"]).get(:created_at)
          ours && Times.iso(ours) == theirs["created_at"]
        end

        # The row here that happened then, there; or nil.
        def find(table, row, index)
          known(table).fetch(key(table, row, index), nil)
        end

        def known(table)
          @known ||= {}
          @known[table] ||= all(table).to_h { |one| [SAME[table].map { |name| plain(name, one[name]) }, one] }
        end

        def all(table)
          return @database[table].where(client_id: @client).all unless table == :streams

          @database[:streams].where(listener_id: @database[:listeners].where(client_id: @client).select(:id)).all
        end

        def plain(name, value) = TIMES.include?(name) && value ? Times.iso(value) : value

        def key(table, row, index)
          SAME[table].map do |name|
            WholeRows.bad("/#{table}/#{index}/#{name}", Words.say(:is_missing)) unless row[name.to_s]

            WholeRows::SPOKEN.key?(name) ? @rows.here(WholeRows::SPOKEN[name], row[name.to_s]) : row[name.to_s]
          end
        end
      end
    end
  end
end
