# frozen_string_literal: true

module Kippen
  module Server
    module Store
      # Rows of a client's whole file (client/1, see Everything) put into the database as another client's, or as this one's:
      # which columns are taken, and by which ids they speak of each other here.
      class WholeRows
        # What is taken of each row; all else of a file is left. In the order in which one speaks of another.
        COLUMNS = {
          revisions: %i[number parent document author note created_at how state_of took_back],
          listeners: %i[name created_at],
          bindings: %i[listener_id heard button],
          streams: %i[listener_id started_at raw first_us first_at],
          messages: %i[stream_id number time_us source kind value],
          sittings: %i[button way whose offered seed prompt trace asked paused author note began_at ended_at],
          trials: %i[sitting_id number button worked_with intended trace weight counted note heard_by at of_stream from_us],
          fits: %i[button sittings file trials price fixed digest state done of attempts give_up result error author created_at
                   ended_at],
          evidence: %i[number fit_id moved],
          screens: %i[host state],
          carriers: %i[device kind memory reach reach_since by_hand],
          handovers: %i[carrier_id device number what revision document digest was together state written done of part attempts
                        give_up error author asked_at ended_at],
          hand_ticks: %i[device key mark value set why author at]
        }.freeze
        JSON_COLUMNS = %i[document offered prompt trace asked sittings file trials fixed result memory state].freeze
        # By which others are spoken of: column => table.
        SPOKEN = { listener_id: :listeners, stream_id: :streams, sitting_id: :sittings, fit_id: :fits,
                   carrier_id: :carriers }.freeze
        # They belong to another row, not to the client.
        BENEATH = %i[bindings streams messages trials].freeze
        # So many of them that they are put in many at a time.
        MANY = %i[messages].freeze
        AT_ONCE = 1_000
        # So many rows of a table at most.
        MOST = 200_000

        # client, service – ids of whose they become
        def initialize(database, client, service)
          @database = database
          @client = client
          @service = service
          @ids = Hash.new { |ids, table| ids[table] = {} }
        end

        # Raises Invalid where a list of a file is none, or too long.
        def self.check(file)
          bad("/kippen", Words.say(:must_be, value: Everything::FORMAT)) unless file["kippen"] == Everything::FORMAT
          COLUMNS.each_key do |table|
            list = file.fetch(table.to_s, [])
            bad("/#{table}", Words.say(:must_be_an_array)) unless list.is_a?(Array) && list.all?(Hash)
            bad("/#{table}", Words.say(:has_items_most_are_taken, items: list.size, most: MOST)) if list.size > MOST
          end
        end

        def self.bad(where, words) = raise(Invalid.at(where, words))

        # A row of the file is one that is here already.
        def same(table, id, here) = @ids[table][id] = here

        # The id here of a row of the file, or nil.
        def here(table, id) = @ids[table][id]

        # Is what a row speaks of here? What it belongs to may have been left.
        def belongs?(table, row)
          SPOKEN.slice(*COLUMNS[table]).all? { |column, other| @ids[other].key?(row[column.to_s]) }
        end

        # rows – [[row, index in the file]…]. Returns how many. Raises Invalid at the first that can't be taken.
        def put(table, rows)
          if MANY.include?(table)
            rows.each_slice(AT_ONCE) { |slice| many(table, slice) }
          else
            rows.each { |row, index| one(table, row, index) }
          end
          rows.size
        end

        private

        # What the database doesn't take is told by its place.
        def one(table, row, index)
          made = guarded(table, index) { @database[table].returning.insert(values(table, row)).first }
          @ids[table][row["id"]] = made[:id] if made[:id]
        end

        def many(table, slice)
          @database.transaction(savepoint: true) { @database[table].multi_insert(slice.map { |row, _| values(table, row) }) }
        rescue Sequel::DatabaseError, KeyError, ArgumentError
          slice.each { |row, index| one(table, row, index) }
        end

        def guarded(table, index, &)
          @database.transaction(savepoint: true, &)
        rescue Sequel::DatabaseError, KeyError, ArgumentError
          WholeRows.bad("/#{table}/#{index}", Words.say(:row_not_taken))
        end

        def values(table, row)
          given = COLUMNS[table].select { |name| row.key?(name.to_s) }.to_h { |name| [name, value(name, row[name.to_s], table)] }
          given.merge(over(table, row), BENEATH.include?(table) ? {} : { client_id: @client },
                      table == :carriers ? { service_id: @service } : {})
        end

        def value(name, value, table)
          return @ids[SPOKEN[name]].fetch(value) if SPOKEN.key?(name)
          # What was heard may be gone by its age.
          return @ids[:streams][value] if name == :of_stream
          return value unless JSON_COLUMNS.include?(name) && !(name == :state && table != :screens)

          value.nil? ? nil : Sequel.pg_jsonb_wrap(value)
        end

        # Nothing is under way any more.
        def over(table, row)
          case table
          when :sittings then { ended_at: row["ended_at"] || Sequel::CURRENT_TIMESTAMP }
          when :fits, :handovers then %w[done failed given_up].include?(row["state"]) ? {} : { state: "given_up" }
          else {}
          end
        end
      end
    end
  end
end
