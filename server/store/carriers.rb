# frozen_string_literal: true

module Kippen
  module Server
    module Store
      # Stand-in devices: what each has in its memory, and whether it can be reached. Each message is one transaction, so that
      # it happened or it didn't.
      class Carriers
        # Speaks to one device, as Handover::Transfer asks for.
        class Port
          def initialize(database, id)
            @database = database
            @id = id
          end

          def state = told { |carrier| [carrier, carrier.state] }
          def read_back(**given) = told { |carrier| [carrier, carrier.read_back(**given)] }

          %i[write switch empty].each do |message|
            define_method(message) { |**given| told { |carrier| [carrier.public_send(message, **given), nil] } }
          end

          private

          # Raises Standins::OutOfReach and Refused.
          def told
            Store.transaction(@database) do
              row = @database[:carriers].where(id: @id).for_update.first
              raise Standins::OutOfReach, Words.say(:device_out_of_reach) unless row && row[:reach]

              carrier = Carriers.carrier(row)
              now, answer = yield carrier
              @database[:carriers].where(id: @id).update(memory: Sequel.pg_jsonb(now.memory)) unless now.equal?(carrier)
              @database[:carriers].where(id: @id, unasked: true).update(unasked: false)
              answer
            end
          end
        end

        def initialize(database) = @database = database

        def port(id) = Port.new(@database, id)

        # The row of a client's device, made where there is none yet.
        def of(client, device)
          row = { client_id: client, device: device.id }
          service = @database[:clients].where(id: client).get(:service_id)
          @database[:carriers].insert_conflict.insert(**row, service_id: service, kind: device.kind,
                                                             memory: Sequel.pg_jsonb(Standins::Carrier::EMPTY))
          @database[:carriers].first(row)
        end

        # { device id => row } of a client.
        def all(client) = @database[:carriers].where(client_id: client).as_hash(:device)

        # What is in force on a row's device, and what it has besides: Standins::Carrier.
        def self.carrier(row)
          Standins::Carrier.of(row && row[:memory].then { |one| one.respond_to?(:to_hash) ? one.to_hash : one })
        end

        # Within reach or not, from now on. Returns how many were otherwise before: 0 or 1.
        def reach(client, device, reach)
          rows = @database[:carriers].where(client_id: client, device:).exclude(reach:)
          rows.update(reach:, reach_since: Sequel::CURRENT_TIMESTAMP)
        end

        # Before a client is erased: what can be told is emptied, and gone; what can't stays, as nobody's, until it was. Returns
        # how many.
        def let_go(client)
          @database[:carriers].where(client_id: client, reach: true).delete
          nothing = @database[:carriers].where(client_id: client).reject { |row| Carriers.carrier(row).on_it }
          @database[:carriers].where(id: nothing.map { |row| row[:id] }).delete
          @database[:carriers].where(client_id: client).count
        end

        # [row] of those of a service that are to be emptied.
        def to_be_emptied(service) = @database[:carriers].where(service_id: service, client_id: nil).order(:reach_since).all

        # It was emptied. Raises Missing.
        def emptied(service, id)
          gone = @database[:carriers].where(service_id: service, client_id: nil, id: Store.uuid(id, "device")).delete
          raise Missing, Words.say(:no_device, id:) if gone.zero?
        end
      end
    end
  end
end
