# frozen_string_literal: true

module Kippen
  module Server
    module Store
      # What a listener heard while it listened, message by message, as it was sent.
      class Streams
        # So many seconds past the server's time a message may be; what is further ahead is taken as that.
        AHEAD_S = 10
        # Of this many latest streams, and messages of them, it is asked what was pressed.
        LOOKED_AT = 30
        MOST_LOOKED_AT = 5_000
        PASSED = Sequel.extract(:epoch, Sequel.function(:clock_timestamp) - Sequel[:first_at])
        # host – of a joined listener, the one for whose buttons it speaks
        SHOWN = [Sequel[:streams][:id], Sequel[:listeners][:client_id], :listener_id, :raw, Sequel[:listeners][:name],
                 Sequel[:joins][:host]].freeze

        def initialize(database) = @database = database

        # So many streams of one listener are kept at once: of a joined one, which lasts a working day, fewer.
        MOST = 2_000
        MOST_JOINED = 200
        # Of a stream that is gone on with: so many messages, and so long after the last one.
        MOST_MESSAGES = 20_000
        APART_US = 3_000_000

        # More than that.
        class TooMany < Kippen::Error; end

        # Raises TooMany.
        # raw – its sources will be what was heard, not yet buttons
        def add(listener, raw: false)
          most = @database[:listeners].where(id: listener).exclude(join_id: nil).any? ? MOST_JOINED : MOST
          begun = @database[:streams].where(listener_id: listener).limit(most).count
          raise TooMany, Words.say(:begun_too_often, most:) if begun >= most

          @database[:streams].returning(:id).insert(listener_id: listener, raw:).first.fetch(:id)
        end

        # The id of a listener's last stream, as long as it has room; else of a new one. Raises TooMany.
        def going_on(listener)
          last = @database[:streams].where(listener_id: listener).reverse(:started_at).get(:id)
          last && self.last(last)[0] < MOST_MESSAGES ? last : add(listener)
        end

        # [number, µs] of a stream's last message, or of one before the first.
        def last(id)
          messages = @database[:messages].where(stream_id: id)
          [messages.max(:number) || 0, messages.max(:time_us)&.then { |time| time + APART_US } || 0]
        end

        # { id:, client_id:, listener_id:, raw:, name:, host: }, name – the listener's. Raises Missing.
        def find(id)
          all.where(Sequel[:streams][:id] => Store.uuid(id, "stream")).select(*SHOWN).first || raise(Missing, "no stream #{id}")
        end

        # The latest streams of a client in which something was heard, newest first.
        def latest(client, count)
          heard = @database[:messages].where(stream_id: Sequel[:streams][:id])
            .exclude(kind: [Press::Bench::TOLD, *Press::Events::SPOTS]).select(1)
          all.where(Sequel[:listeners][:client_id] => client).where(heard.exists).order(Sequel.desc(:started_at)).limit(count)
            .select(*SHOWN).all
        end

        # What was pressed of each device, or stood for it: { device id => [Kinds::Ready::Contact] }, oldest first.
        def contacts(client, fitting)
          heard = []
          recent(client).each do |stream|
            left = MOST_LOOKED_AT - heard.sum(&:size)
            break unless left.positive?

            heard.unshift(pressed(stream, left))
          end
          Contacts.new(of_buttons(heard.flatten(1), fitting)).by_device
        end

        # What a button gave in some time of a stream, a Range of µs, counted from the first of it: [[µs, kind, level or
        # nothing]…]
        def edges(stream, fitting, button, times_us)
          reader = reader(fitting, stream[:listener_id], stream[:host]) if stream[:raw]
          rows = @database[:messages].where(stream_id: stream[:id], time_us: times_us, kind: Sittings::EDGES)
            .order(:time_us, :number)
          messages = rows.select(*OF_MESSAGE).map { |row| Press::Bench::Message.new(**row) }
          mine = messages.filter_map { |one| reader ? reader.resolve(one) : one }.select { |one| one.source == button.ref }
          Sittings.relative(mine.map { |one| Sittings.event(one) })
        end

        # Rows [µs from the first, button or host, kind, value or ""] of all that a client's stream has, as a trace has them; what
        # stands for no button is left. most – rows. Raises Missing.
        def trace(client, fitting, id, most)
          stream = find(id)
          raise Missing, Words.say(:no_stream, id:) unless stream[:client_id] == client

          reader = reader(fitting, stream[:listener_id], stream[:host]) if stream[:raw]
          rows = @database[:messages].where(stream_id: stream[:id]).order(:time_us, :number).limit(most)
          heard = rows.select(*OF_MESSAGE).filter_map { |row| row_of(Press::Bench::Message.new(**row), reader, fitting) }
          first = heard.dig(0, 0) || 0
          heard.map { |time_us, *row| [time_us - first, *row] }
        end

        # Holds a stream for the transaction. Returns what its time is known by, { id:, first_us:, passed: }:
        # passed – seconds since the first message came; or nil where there is no such stream.
        def lock(id) = @database[:streams].where(id:).for_update.select(:id, :first_us, PASSED.as(:passed)).first

        # Keeps messages that are new, passes over those it has; returns the new ones by their place.
        # clock – of #lock; ahead – seconds, see AHEAD_S; nil: any
        def keep(clock, messages, ahead)
          return [] if messages.empty?

          most = latest_us(clock, messages, ahead)
          sent = messages.uniq(&:number).map do |message|
            most && message.time_us > most ? message.dup.tap { |one| one.time_us = most } : message
          end
          rows = sent.map { |message| message.to_h.merge(stream_id: clock[:id]) }
          kept = @database[:messages].insert_conflict.returning(:number).multi_insert(rows)
          sent.select { |message| kept.include?(message.number) }.sort_by(&:place)
        end

        # What turns a listener's sources into the buttons they stand for.
        def reader(fitting, listener, host) = RawMessages.new(fitting, Listeners.new(@database).bindings(listener), host:)

        private

        OF_MESSAGE = %i[number time_us source kind value].freeze
        private_constant :OF_MESSAGE

        # A message as a row of a trace, time that ran on with nothing heard too; nil where it is of no button or host.
        def row_of(message, reader, fitting)
          return [message.time_us, "", "end", ""] if message.kind == Press::Bench::TOLD

          found = reader ? reader.resolve(message) : message
          return unless found && (fitting.button(found.source) || fitting.host(found.source))

          [found.time_us, found.source, found.kind, found.value]
        end

        # What belongs to no button, or to one of several, is kept as heard and is nobody's contact; nor is a stand-in
        # hand, for which nothing is bound.
        def of_buttons(rows, fitting)
          readers = Hash.new { |hash, (listener, host)| hash[[listener, host]] = reader(fitting, listener, host) }
          rows.filter_map do |row|
            reader = readers[row.values_at(:listener_id, :host)]
            button = row[:raw] ? reader.button(row[:source]) : fitting.button(row[:source])
            next if button.nil? || !(row[:raw] || reader.bound?(button))

            row.merge(source: button.ref,
                      stands_in: row[:raw] ? !reader.itself?(button, row[:source]) : reader.stands_in?(button))
          end
        end

        # On the listener's clock, where the first message came at its time: how late it can be now.
        def latest_us(clock, messages, ahead)
          first = clock[:first_us] || begin_clock(clock[:id], messages.map(&:time_us).min)
          first + (((clock[:passed] || 0) + ahead) * 1_000_000).ceil if ahead
        end

        def begin_clock(id, first_us)
          @database[:streams].where(id:).update(first_us:, first_at: Sequel.function(:clock_timestamp))
          first_us
        end

        def all = @database[:streams].join(:listeners, id: :listener_id).left_join(:joins, id: :join_id)

        # Rows of the latest streams, newest first.
        def recent(client)
          latest = all.where(Sequel[:listeners][:client_id] => client)
            .order(Sequel.desc(:started_at), Sequel.desc(Sequel[:streams][:id])).limit(LOOKED_AT)
          latest.select(Sequel[:streams][:id].as(:stream_id), :listener_id, :raw, :started_at, Sequel[:joins][:host]).all
        end

        # Rows of a stream's last messages, in their order: asked of each stream by itself, it takes no time to find them.
        def pressed(stream, most)
          rows = @database[:messages].where(stream_id: stream[:stream_id], kind: Press::Events::KINDS.keys)
            .order(:time_us, :number).reverse.limit(most)
          rows.select_map(%i[time_us source kind]).reverse.map { |time_us, source, kind| { time_us:, source:, kind:, **stream } }
        end
      end
    end
  end
end
