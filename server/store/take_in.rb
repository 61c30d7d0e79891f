# frozen_string_literal: true

module Kippen
  module Server
    module Store
      # A client's whole file (client/1, see Everything), taken in as a new client: every revision, what was heard, trials and
      # fits, hand-overs and what was set by hand. Who has joined by a code and who may look stay where they were. All of it or
      # nothing.
      class TakeIn
        # How a revision came about.
        HOW = %w[change undo redo restore].freeze

        def initialize(database, service)
          @database = database
          @service = service
        end

        # file – the parsed file; author, account – who takes it in. Returns the new client's id. Raises Invalid.
        def take(file, author:, account:)
          WholeRows.check(file)
          history(file.fetch("revisions", []))
          Store.transaction(@database) do
            client = @database[:clients].returning(:id).insert(service_id: @service).first.fetch(:id)
            rows = WholeRows.new(@database, client, @service)
            WholeRows::COLUMNS.each_key { |table| rows.put(table, file.fetch(table.to_s, []).each_with_index.to_a) }
            on_top(client, author, account)
            client
          end
        end

        private

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

        # The state as it is, saved once more by the one way: with who took it in.
        def on_top(client, author, account)
          Save.new(@database).on(client, author:, account:, what: Words.say(:did_take_in)) do |head|
            Save::Made.new(fitting: head.fitting, note: Words.say(:note_taken_in_whole), watch: false)
          end
        end

        def bad(where, words) = WholeRows.bad(where, words)
      end
    end
  end
end
