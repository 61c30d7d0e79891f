# frozen_string_literal: true

module Kippen
  module Server
    module Store
      # What was handed over to which device, when and by whom, and how far it has come.
      class Handovers
        SHOWN = 30
        # Out of reach: it is asked for again when it is back.
        AWAY = "away"

        # A device has something else on it than was seen.
        class Differs < Kippen::Error; end

        # How far each has come: LongWork.
        attr_reader :work

        # line – puts one in line to be worked on: takes its id, how many wait before it
        def initialize(database, line: nil)
          @database = database
          @line = line
          @work = LongWork.new(database, :handovers, "handover")
        end

        # Asks for some of a host's devices together.
        # wanted – [{ device: Fitting::Device, what:, revision:, document:, seen: }], seen – the digest of what the page showed
        # on it, or nil. What is under way on one of them is given up: the last one asked
        # for is what counts. Returns their rows. Raises Differs.
        def ask(client, wanted, author:)
          Store.transaction(@database) do
            Save.lock(@database, client)
            together = @database.get(Sequel.function(:gen_random_uuid))
            wanted.map { |one| put(client, one, together, author) }
          end
        end

        # The newest of each device of a client: { carrier id => row }.
        def newest(client)
          rows = @database[:handovers].where(client_id: client)
          rows.where(%i[carrier_id number] => rows.group(:carrier_id).select(:carrier_id, Sequel.function(:max, :number)))
            .as_hash(:carrier_id)
        end

        # The last one of a device that brought something with a digest onto it: its row, or nil.
        def of_digest(carrier, digest)
          digest && @database[:handovers].where(carrier_id: carrier, digest:, state: "done").reverse(:number).first
        end

        # The last one that brought something else than is on it now, or nil.
        def before(carrier, digest)
          @database[:handovers].where(carrier_id: carrier, state: "done").exclude(document: nil).exclude(digest:)
            .reverse(:number).first
        end

        # The newest of a client, newest first.
        def latest(client) = @database[:handovers].where(client_id: client).reverse(:asked_at, :number).limit(SHOWN).all

        # Nobody wants what is under way on a device: it keeps what it had.
        def stop(carrier)
          @database[:handovers].where(carrier_id: carrier, state: [*LongWork::OPEN, AWAY]).select_map(:id)
            .each { |id| give_up(id) }
        end

        # What waits for a device that is back is put in line again.
        def catch_up(carrier)
          @database[:handovers].where(carrier_id: carrier, state: AWAY).select_map(:id).each do |id|
            @database[:handovers].where(id:).update(state: "waiting", attempts: 0, ended_at: nil, error: nil)
            @line&.call(id, before: 0)
          end
        end

        # Of those that were asked for together what is under way still, under a lock of its own.
        def together(row)
          @database.get(Sequel.function(:pg_advisory_xact_lock, Sequel.function(:hashtext, row[:together].to_s)))
          @database[:handovers].where(together: row[:together], state: LongWork::OPEN).order(:device, :id).all
        end

        # What is on the devices against what the fitting would put there: { device id => { "revision" => that brought it, or nil,
        # "same" => } }; where nothing is and nothing would be, it is the same.
        def standing(client, fitting)
          carriers = Carriers.new(@database).all(client)
          fitting.devices.to_h do |device|
            carried = Handover::Carried.of(fitting, device, KNOWLEDGE)
            on = on_it(carriers[device.id])
            brought = on && of_digest(carriers[device.id][:id], on)
            [device.id, { "revision" => brought && brought[:revision], "same" => on ? on == carried.digest : carried.nothing? }]
          end
        end

        # A list by hand was gone through: it counts as handed over. carried – Handover::Carried
        def through(client, carried, revision:, by:)
          device = carried.device
          carrier = Carriers.new(@database).of(client, device)
          was = on_it(carrier)
          return if was == carried.digest

          @database[:handovers].insert(
            client_id: client, carrier_id: carrier[:id], device: device.id, number: number(carrier), what: "hand", revision:,
            **content(carried.document), was:,
            together: Sequel.function(:gen_random_uuid), state: "done", author: by, ended_at: Sequel::CURRENT_TIMESTAMP
          )
        end

        # Which part is on its way.
        def part(row, name) = rows(row).update(part: name)

        # All of it is on the device, not yet in force.
        def written(row) = rows(row).update(written: true)

        # Its row as it is now, held for the transaction; nil where it has ended.
        def held(row) = rows(row).where(state: LongWork::OPEN).for_update.first

        # The device can't be reached: it is caught up later; at once, where it is back already.
        def away(row)
          Store.transaction(@database) do
            carrier = @database[:carriers].where(id: row[:carrier_id]).for_update.first
            rows(row).where(state: LongWork::OPEN).update(state: AWAY, written: false, ended_at: Sequel::CURRENT_TIMESTAMP)
            catch_up(row[:carrier_id]) if carrier&.fetch(:reach)
          end
          @work.tell(row)
        end

        # What is on a device: of one that can be reached what it says, else what was put on it last. carrier – its row or nil
        def on_it(carrier)
          return if carrier.nil?
          return Carriers.carrier(carrier).state["digest"] if carrier[:reach] && !carrier[:by_hand]

          @database[:handovers].where(carrier_id: carrier[:id], state: "done").reverse(:number).get(:digest)
        end

        private

        def give_up(id)
          @database[:handovers].where(id:, state: AWAY).update(state: "given_up", ended_at: Sequel::CURRENT_TIMESTAMP)
          @work.give_up(id)
        end

        def put(client, one, together, author)
          carrier = Carriers.new(@database).of(client, one[:device])
          raise Differs, Words.say(:device_differs) unless on_it(carrier) == one[:seen]

          stop(carrier[:id])
          asked = { client_id: client, carrier_id: carrier[:id], device: one[:device].id, number: number(carrier),
                    was: one[:seen], together:, author:, **one.slice(:what, :revision), **content(one[:document]) }
          row = @database[:handovers].returning.insert(asked).first
          @line&.call(row[:id], before: @work.in_line(client) - 1)
          @work.tell(row)
        end

        # nil: nothing
        def content(document) = { document: document && Sequel.pg_jsonb(document), digest: Handover.digest(document) }

        def rows(row) = @database[:handovers].where(id: row[:id])
        def number(carrier) = (@database[:handovers].where(carrier_id: carrier[:id]).max(:number) || 0) + 1
      end
    end
  end
end
