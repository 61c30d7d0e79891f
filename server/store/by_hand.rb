# frozen_string_literal: true

module Kippen
  module Server
    module Store
      # Devices that people set from a list: what was ticked, and what of the list is open still.
      class ByHand
        # A list's item with its tick: { "set" => , "why", "by", "at" } or nil
        Line = Struct.new(:item, :tick, keyword_init: true) do
          def plain = item.plain.merge("tick" => tick)
        end

        # Of a client as the fitting is now.
        def initialize(database, client)
          @database = database
          @client = client
          @fitting, @revision = Revisions.new(database).fitting(client)
        end

        # By hand from now on, or by Kippen.
        def by_hand!(device, by_hand)
          Store.transaction(@database) do
            carrier = Carriers.new(@database).of(@client, device)
            # What is under way there is given up: only people set it from now on.
            Handovers.new(@database).stop(carrier[:id]) if by_hand
            @database[:carriers].where(id: carrier[:id]).update(by_hand:)
            tell
          end
        end

        # [Line] of a device.
        def lines(device)
          rows = ticks(device).order(:at).all
          items(device, rows).map { |item| Line.new(item:, tick: tick(rows, item)) }
        end

        # An item was set and seen, or it can't be: why. Once all are through, it counts as handed over. Raises Missing where the
        # list has no such item, or another value by now.
        def tick!(device, key:, mark:, set:, why:, by:)
          Store.transaction(@database) do
            Save.lock(@database, @client)
            item = items(device, []).find { |one| one.key == key && one.mark == mark }
            raise Missing, Words.say(:no_such_item) unless item

            now = { set:, why: set ? "" : why, author: by, at: Sequel::CURRENT_TIMESTAMP }
            @database[:hand_ticks].insert_conflict(target: %i[client_id device key mark], update: now)
              .insert(client_id: @client, device: device.id, key:, mark:, value: item.value, **now)
            through(device, by)
            tell
          end
        end

        # It was not set after all.
        def untick!(device, key:, mark:)
          ticks(device).where(key:, mark:).delete
          tell
        end

        private

        def ticks(device) = @database[:hand_ticks].where(client_id: @client, device: device.id)
        def tell = News.tell(@database, @client, "handover")

        # rows – of ticks, the oldest first: what was set before another value is known by them
        def items(device, rows)
          carried = Handover::Carried.of(@fitting, device, KNOWLEDGE)
          was = rows.select { |row| row[:set] }.to_h { |row| [row[:key], row[:value]] }
          Handover::ByHand.new(carried, KNOWLEDGE, was:).items
        end

        def tick(rows, item)
          row = rows.find { |one| one[:key] == item.key && one[:mark] == item.mark }
          row && { "set" => row[:set], "why" => row[:why], "by" => row[:author], "at" => Times.iso(row[:at]) }
        end

        def through(device, by)
          return if lines(device).any? { |line| line.tick.nil? }

          carried = Handover::Carried.of(@fitting, device, KNOWLEDGE)
          Handovers.new(@database).through(@client, carried, revision: @revision[:number], by:)
        end
      end
    end
  end
end
