# frozen_string_literal: true

module Kippen
  module Server
    module Store
      # A client's whole file (client/1, see Everything), taken in as a new client: every revision, trials and fits, hand-overs
      # and what was set by hand. Whoever listened, what was heard live and who may look stay where they were. All of it or
      # nothing.
      class TakeIn
        # What is taken of each row; all else of a file is left. In the order in which one speaks of another.
        COLUMNS = {
          revisions: %i[number parent document author note created_at how state_of took_back],
          sittings: %i[button way whose offered seed prompt trace asked paused author note began_at ended_at],
          trials: %i[sitting_id number button worked_with intended trace weight counted note heard_by at],
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
        # How a revision came about.
        HOW = %w[change undo redo restore].freeze
        # By which others are spoken of: column => table.
        SPOKEN = { sitting_id: :sittings, fit_id: :fits, carrier_id: :carriers }.freeze
        # So many rows of a table at most.
        MOST = 200_000

        def initialize(database, service)
          @database = database
          @service = service
          @ids = Hash.new { |ids, table| ids[table] = {} }
        end

        # file – the parsed file; author, account – who takes it in. Returns the new client's id. Raises Invalid.
        def take(file, author:, account:)
          check(file)
          Store.transaction(@database) do
            @client = @database[:clients].returning(:id).insert(service_id: @service).first.fetch(:id)
            COLUMNS.each_key { |table| rows(table, file) }
            on_top(author, account)
            @client
          end
        end

        private

        def check(file)
          bad("/kippen", Words.say(:must_be, value: Everything::FORMAT)) unless file["kippen"] == Everything::FORMAT
          COLUMNS.each_key do |table|
            list = file.fetch(table.to_s, [])
            bad("/#{table}", Words.say(:must_be_an_array)) unless list.is_a?(Array) && list.all?(Hash)
            bad("/#{table}", Words.say(:has_items_most_are_taken, items: list.size, most: MOST)) if list.size > MOST
          end
          history(file.fetch("revisions", []))
        end

        # Numbers that follow on each other, each on one before.
        def history(revisions)
          numbers = revisions.map { |row| row["number"] }
          bad("/revisions", Words.say(:no_history)) unless numbers.any? && numbers == (1..numbers.size).to_a
          revisions.each_with_index { |row, index| revision(row, index, "/revisions/#{index}") }
          Fitting.read(revisions.last["document"])
        end

        def revision(row, index, pointer)
          before = index.zero? ? row["parent"].nil? : row["parent"].is_a?(Integer) && row["parent"].between?(1, index)
          bad("#{pointer}/parent", Words.say(:no_history)) unless before
          bad("#{pointer}/how", Words.say(:no_history)) unless HOW.include?(row.fetch("how", HOW.first))
          bad("#{pointer}/document", Words.say(:must_be_an_object)) unless row["document"].is_a?(Hash)
        end

        def rows(table, file)
          file.fetch(table.to_s, []).each_with_index { |row, index| row(table, row, "/#{table}/#{index}") }
        end

        # What the database doesn't take is told by its place.
        def row(table, row, pointer)
          values = COLUMNS[table].select { |name| row.key?(name.to_s) }.to_h { |name| [name, value(name, row[name.to_s], table)] }
          made = @database.transaction(savepoint: true) { insert(table, values.merge(over(table, row))) }
          @ids[table][row["id"]] = made[:id] if made[:id]
        rescue Sequel::DatabaseError, KeyError, ArgumentError
          bad(pointer, Words.say(:row_not_taken))
        end

        def insert(table, values)
          whose = { client_id: @client } unless table == :trials
          whose = whose.merge(service_id: @service) if table == :carriers
          @database[table].returning.insert(values.merge(whose || {})).first
        end

        def value(name, value, table)
          return @ids[SPOKEN[name]].fetch(value) if SPOKEN.key?(name)
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

        # The state as it is, saved once more by the one way: with who took it in.
        def on_top(author, account)
          Save.new(@database).on(@client, author:, account:, what: Words.say(:did_take_in)) do |head|
            Save::Made.new(fitting: head.fitting, note: Words.say(:note_taken_in_whole), watch: false)
          end
        end

        def bad(where, words) = raise(Invalid.at(where, words))
      end
    end
  end
end
