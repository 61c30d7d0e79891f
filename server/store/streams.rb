# frozen_string_literal: true

module Kippen
  module Server
    module Store
      # What a listener heard while it listened, message by message, as it was sent.
      class Streams
        # A stream is replayed whole at every message; past this a listener begins a new one.
        MOST_MESSAGES = 600

        # The stream has as many messages as it may have.
        class Full < Kippen::Error; end

        def initialize(database) = @database = database

        def add(listener) = @database[:streams].returning(:id).insert(listener_id: listener).first.fetch(:id)

        # { id:, client_id: } Raises Missing.
        def find(id)
          @database[:streams].join(:listeners, id: :listener_id).where(Sequel[:streams][:id] => Store.uuid(id, "stream"))
            .select(Sequel[:streams][:id], :client_id).first || raise(Missing, "no stream #{id}")
        end

        # The latest streams of a client in which something was heard, newest first.
        def latest(client, count)
          heard = @database[:messages].where(stream_id: Sequel[:streams][:id]).exclude(kind: Press::Bench::TOLD).select(1)
          @database[:streams].join(:listeners, id: :listener_id).where(client_id: client).where(heard.exists)
            .order(Sequel.desc(:started_at)).limit(count).select_map(Sequel[:streams][:id])
        end

        # Keeps messages that are new, passes over those it has; then all messages of the
        # stream. One at a time for a stream, so that no answer misses what another brought.
        def take(id, messages)
          @database.transaction do
            @database[:streams].where(id:).for_update.first
            rows = messages.map { |message| message.to_h.merge(stream_id: id) }
            @database[:messages].insert_conflict.multi_insert(rows)
            all = messages(id)
            raise Full, "the stream has its #{MOST_MESSAGES} messages" if all.size > MOST_MESSAGES

            all
          end
        end

        # Every Press::Bench::Message of a stream.
        def messages(id)
          @database[:messages].where(stream_id: id).order(:number).select(:number, :time_us, :source, :kind, :value)
            .map { |row| Press::Bench::Message.new(**row) }
        end
      end
    end
  end
end
