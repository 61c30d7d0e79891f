# frozen_string_literal: true

module Kippen
  module Server
    module Store
      # Sittings: prompts to a client, one at a time, and what a button gave to each. At most one of a client is open.
      class Sittings
        # By prompts; finding a guard by hand; presses kept by themselves; read from a file
        WAYS = %w[prompts by_hand kept file].freeze
        # Of one sitting.
        MOST_TRIALS = Formats::TrialsJson::MOST
        MOST_BYTES = 4_000_000
        MOST_ROWS = Formats::TrialsJson::MOST_ROWS
        EDGES = %w[down up level].freeze

        # One that can't go on so.
        class Closed < Kippen::Error; end

        # What was heard as rows of a trace, from the first event on, in µs; what was down before it was asked is no part of it.
        def self.relative(trace)
          rows = trace.drop_while { |_, kind| kind == "up" }
          rows.map { |at, *event| [at - rows.first[0], *event] }
        end

        # A Press::Bench::Message as a row of a trace.
        def self.event(message) = [message.time_us, message.kind, *(Float(message.value) if message.kind == "level")]

        def initialize(database) = @database = database

        # A sitting's row. Raises Missing.
        def find(id)
          SittingRow.readable(@database[:sittings].first(id: Store.uuid(id,
                                                                        "sitting"))) || raise(Missing,
                                                                                              Words.say(:no_sitting, id:))
        end

        # The open one of a client, or nil.
        def open(client) = SittingRow.readable(@database[:sittings].first(client_id: client, ended_at: nil))

        # Those of a client, the newest first. most – so many; nil: all
        def all(client, most: nil)
          rows = @database[:sittings].where(client_id: client).reverse(:began_at)
          (most ? rows.limit(most) : rows).map { |row| SittingRow.readable(row) }
        end

        # Begins one; another that is open ends. The block takes its row and gives the first prompt. Returns the row.
        def start(client, **row)
          Store.transaction(@database) do
            Save.lock(@database, client)
            close(@database[:sittings].where(client_id: client, ended_at: nil).for_update.first)
            made = @database[:sittings].returning.insert(client_id: client, **row,
                                                         offered: Sequel.pg_jsonb(row.fetch(:offered))).first
            ask(made, yield(made)) if block_given?
            tell(client)
            find(made[:id])
          end
        end

        # One that is over already, with what the block puts into it. Returns its row.
        def begin_ended(client, **row)
          Store.transaction(@database) do
            made = @database[:sittings].returning.insert(client_id: client, **row, offered: Sequel.pg_jsonb(row.fetch(:offered)),
                                                         seed: 0, ended_at: Sequel::CURRENT_TIMESTAMP).first
            yield made
            tell(client)
            made
          end
        end

        # The presses of today that were kept by themselves, gestures and clicks apart, for they are not fitted together:
        # yields that sitting's row and the next number. Returns the row.
        def kept(client, button:, offered:, author:)
          Store.transaction(@database) do
            Save.lock(@database, client)
            row = of_today(client, button).find do |one|
              one[:offered].intersect?(Tuning::PASS_THROUGH) == offered.intersect?(Tuning::PASS_THROUGH)
            end
            row ||= begin_ended(client, button:, way: "kept", whose: "client", offered:, author:) { nil }
            update(row, offered: Sequel.pg_jsonb(row[:offered].to_a | offered))
            yield row, (@database[:trials].where(sitting_id: row[:id]).max(:number) || -1) + 1
            tell(client)
            find(row[:id])
          end
        end

        # Yields a sitting's row, held meanwhile. Returns what the block does; what is read then is new. others – with
        # the client, so that which of its sittings is open stays as it is
        def held(id, others: false)
          Store.transaction(@database) do
            Save.lock(@database, find(id)[:client_id]) if others
            row = SittingRow.readable(@database[:sittings].where(id: Store.uuid(id, "sitting")).for_update.first) ||
                  raise(Missing, Words.say(:no_sitting, id:))
            yield(row).tap { tell(row[:client_id]) }
          end
        end

        # What a button gave, as it comes: to the prompt of the open sitting, if it is asked of that button. The first
        # stream that answers a prompt is heard, for clocks differ. messages – Press::Bench::Messages of buttons. Returns
        # the button that is asked for, where it was heard, or nil.
        def hear(stream, messages)
          edges = messages.select { |message| EDGES.include?(message.kind) }
          row = edges.any? && listening(stream, edges.map(&:source).uniq) or return

          heard = edges.select { |message| message.source == row[:button] }.map { |message| Sittings.event(message) }
          trace = (row[:trace].to_a + heard).sort_by.with_index { |(at, *), index| [at, index] }.first(MOST_ROWS)
          update(row, trace: Sequel.pg_jsonb(trace), stream_id: stream[:id])
          tell(stream[:client_id])
          row[:button]
        end

        # Keeps what the prompt of a held sitting gave as a trial. worked_with – of its button. Returns the trial's id.
        def keep(row, worked_with:)
          trace = Sittings.relative(row[:trace].to_a)
          id = add_trial(row, number: row[:prompt]["number"], intended: row[:prompt]["intended"], trace:, worked_with:,
                              heard_by: name(row[:stream_id]))
          update(row, asked: Sequel.pg_jsonb(row[:asked].to_a + [row[:prompt]["intended"]]))
          id
        end

        # Returns the trial's id. Raises Closed where there are too many.
        def add_trial(row, **trial) = add_trials(row, [trial]).first

        # Returns their ids. Raises Closed where there are too many, or more was pressed than can be read back.
        def add_trials(row, trials)
          there, bytes = held_by(row)
          raise Closed, Words.say(:sitting_trials, most: MOST_TRIALS) if there + trials.size > MOST_TRIALS

          rows = trials.map do |trial|
            { sitting_id: row[:id], button: row[:button], **trial, trace: JSON.generate(trial[:trace]) }
          end
          bytes += rows.sum { |one| one[:trace].bytesize }
          raise Closed, Words.say(:sitting_bytes, kilobytes: MOST_BYTES / 1000) if bytes > MOST_BYTES

          rows.each { |one| one[:trace] = Sequel.lit("?::jsonb", one[:trace]) }
          rows.empty? ? [] : @database[:trials].import(rows.first.keys, rows.map(&:values), return: :primary_key)
        end

        # Asks the next, see Tuning::Prompts::Next; nil: nothing more.
        def ask(row, prompt)
          update(row, prompt: prompt && Sequel.pg_jsonb(prompt), trace: Sequel.pg_jsonb([]), stream_id: nil)
        end

        def update(row, **members) = @database[:sittings].where(id: row[:id]).update(members)

        # It can be looked at, and not gone on with. What was pressed last and not yet kept stays with it.
        def close(row) = row && row[:ended_at].nil? && update(row, ended_at: Sequel::CURRENT_TIMESTAMP, paused: false)

        # Goes on with one that was ended; another that is open ends.
        def open_again(row)
          close(@database[:sittings].where(client_id: row[:client_id], ended_at: nil).exclude(id: row[:id]).for_update.first)
          update(row, ended_at: nil, paused: false)
        end

        def tell(client) = News.tell(@database, client, "sitting")

        private

        # [how many trials a sitting has, how long what was pressed in them is as text]
        def held_by(row)
          length = Sequel.function(:sum, Sequel.function(:length, Sequel.cast(:trace, String)))
          @database[:trials].where(sitting_id: row[:id])
            .get([Sequel.function(:count).*.as(:trials), Sequel.function(:coalesce, length, 0).as(:bytes)])
        end

        def of_today(client, button)
          today = Sequel.function(:date_trunc, "day", Sequel::CURRENT_TIMESTAMP)
          @database[:sittings].where(client_id: client, button:, way: "kept").where { began_at >= today }.map do |row|
            SittingRow.readable(row)
          end
        end

        # The open sitting that asks for a press of one of these buttons and has heard no other stream, held; or nil.
        def listening(stream, buttons)
          open = @database[:sittings].where(client_id: stream[:client_id], ended_at: nil, paused: false, button: buttons)
          row = SittingRow.readable(open.for_update.first)
          row if row && row[:prompt] && [nil, stream[:id]].include?(row[:stream_id])
        end

        def name(stream)
          if stream
            @database[:streams].join(:listeners, id: :listener_id).where(Sequel[:streams][:id] => stream).get(:name) || ""
          else
            ""
          end
        end
      end
    end
  end
end
