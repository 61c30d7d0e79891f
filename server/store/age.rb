# frozen_string_literal: true

module Kippen
  module Server
    module Store
      # How long what is only kept for a while is kept. What a client is fitted with is kept until the
      # client is erased.
      module Age
        STREAMS_DAYS = 30
        # A browser that heard nothing for so long has to be bound anew.
        LISTENERS_DAYS = 180
        JOINS_DAYS = 1
        SESSIONS_DAYS = 30
        TRIES_DAYS = 1
        # A fit that nobody put on; the newest of each button stays, and what a revision rests on.
        FITS_DAYS = 90
        # A kind of device that was taken away, with all its editions.
        KINDS_DAYS = 365
        # Who did what: five years.
        AUDIT_DAYS = 1826
        # So many of a kind at once, so that nobody waits for it.
        AT_ONCE = 500

        module_function

        # Takes away what is older; returns { what => how many }.
        def prune(database)
          { streams: streams(database), listeners: listeners(database), joins: joins(database), sessions: sessions(database),
            tries: batches(database[:tries].where(Sequel[:at] < ago(TRIES_DAYS)), :id),
            fits: fits(database), kinds: kinds(database),
            audit: batches(database[:audit].where(Sequel[:at] < ago(AUDIT_DAYS)), :id) }
        end

        def streams(database) = batches(database[:streams].where(Sequel[:started_at] < ago(STREAMS_DAYS)), :id)

        # Those of joined devices go with their join.
        def listeners(database)
          used = database[:streams].where(listener_id: Sequel[:listeners][:id]).select(1)
          batches(database[:listeners].where(join_id: nil).where(Sequel[:created_at] < ago(LISTENERS_DAYS)).exclude(used.exists),
                  :id)
        end

        def joins(database)
          ended = database[:joins].where((Sequel[:ended_at] < ago(JOINS_DAYS)) | (Sequel[:expires_at] < ago(JOINS_DAYS)))
          batches(ended.exclude(database[:streams].join(:listeners,
                                                        id: :listener_id).where(join_id: Sequel[:joins][:id]).select(1).exists),
                  :id)
        end

        def fits(database)
          fits = Sequel[:fits]
          other = Sequel[:other]
          newer = database[Sequel[:fits].as(:other)].where(other[:client_id] => fits[:client_id], other[:button] => fits[:button])
            .where(other[:created_at] > fits[:created_at]).select(1)
          rested_on = database[:evidence].where(fit_id: fits[:id]).select(1)
          batches(database[:fits].where(fits[:ended_at] < ago(FITS_DAYS)).where(newer.exists).exclude(rested_on.exists), :id)
        end

        def kinds(database)
          gone = database[:kinds].select_group(:service_id, :id).select_append(Sequel.function(:max, :edition).as(:edition))
          away = database[:kinds].where(document: nil).where(Sequel[:at] < ago(KINDS_DAYS))
          rows = away.where(%i[service_id id edition] => gone)
          database[:kinds].where(%i[service_id id] => rows.select(:service_id, :id)).delete
        end

        def sessions(database)
          database[:account_active_session_keys].where(Sequel[:last_use] < ago(SESSIONS_DAYS)).delete
        end

        def batches(rows, key)
          all = 0
          loop do
            gone = rows.where(key => rows.select(key).limit(AT_ONCE)).delete
            all += gone
            return all if gone.zero?
          end
        end

        def ago(days) = Sequel::CURRENT_TIMESTAMP - Sequel.lit("interval '#{days} days'")
        private_class_method :streams, :listeners, :joins, :fits, :kinds, :sessions, :batches
      end
    end
  end
end
