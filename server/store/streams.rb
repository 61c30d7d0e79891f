# frozen_string_literal: true

module Kippen
  module Server
    module Store
      # What a listener heard while it listened, message by message, as it was sent.
      class Streams
        # A stream is replayed whole at every message; past this a listener begins a new one.
        MOST_MESSAGES = 600
        # Of this many latest streams it is asked what was pressed.
        LOOKED_AT = 30
        SHOWN = [Sequel[:streams][:id], :client_id, :listener_id, :raw, Sequel[:listeners][:name]].freeze

        # The stream has as many messages as it may have.
        class Full < Kippen::Error; end

        def initialize(database) = @database = database

        # raw – its sources will be what was heard, not yet buttons
        def add(listener, raw: false) = @database[:streams].returning(:id).insert(listener_id: listener, raw:).first.fetch(:id)

        # { id:, client_id:, listener_id:, raw:, name: }, name – the listener's. Raises Missing.
        def find(id)
          all.where(Sequel[:streams][:id] => Store.uuid(id, "stream")).select(*SHOWN).first || raise(Missing, "no stream #{id}")
        end

        # The latest streams of a client in which something was heard, newest first.
        def latest(client, count)
          heard = @database[:messages].where(stream_id: Sequel[:streams][:id]).exclude(kind: Press::Bench::TOLD).select(1)
          all.where(client_id: client).where(heard.exists).order(Sequel.desc(:started_at)).limit(count).select(*SHOWN).all
        end

        # What was pressed on each device: { device id => [Kinds::Ready::Contact] }, oldest first.
        def contacts(client, fitting)
          rows = @database[:messages].where(stream_id: recent(client).select(Sequel[:streams][:id]), kind: Press::Events::KINDS.keys)
            .join(:streams, id: :stream_id).order(:started_at, :stream_id, :time_us, :number)
            .select(:stream_id, :listener_id, :raw, :time_us, :source, Sequel[:messages][:kind], :started_at)
          readers = Hash.new { |hash, listener| hash[listener] = reader(fitting, listener) }
          # What belongs to no button, or to one of several, is kept as heard and is nobody's contact.
          resolved = rows.filter_map { |row| row[:raw] ? readers[row[:listener_id]].button(row[:source])&.then { |button| row.merge(source: button.ref) } : row }
          Contacts.new(resolved).by_device
        end

        # Keeps messages that are new, passes over those it has; then all messages of the
        # stream. One at a time for a stream, so that no answer misses what another brought.
        # Whoever looks at the client's bench is told.
        def take(stream, messages)
          id = stream[:id]
          @database.transaction do
            @database[:streams].where(id:).for_update.first
            rows = messages.map { |message| message.to_h.merge(stream_id: id) }
            @database[:messages].insert_conflict.multi_insert(rows)
            all = messages(id)
            raise Full, "the stream has its #{MOST_MESSAGES} messages" if all.size > MOST_MESSAGES

            News.tell(@database, stream[:client_id], "heard", stream: id, received: all.size)
            all
          end
        end

        # Every Press::Bench::Message of a stream, as it was sent.
        def messages(id)
          @database[:messages].where(stream_id: id).order(:number).select(:number, :time_us, :source, :kind, :value)
            .map { |row| Press::Bench::Message.new(**row) }
        end

        # What turns a listener's sources into the buttons they stand for.
        def reader(fitting, listener) = RawMessages.new(fitting, Listeners.new(@database).bindings(listener))

        private

        def all = @database[:streams].join(:listeners, id: :listener_id)

        def recent(client) = all.where(client_id: client).order(Sequel.desc(:started_at)).limit(LOOKED_AT)
      end
    end
  end
end
