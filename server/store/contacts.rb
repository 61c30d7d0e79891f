# frozen_string_literal: true

module Kippen
  module Server
    module Store
      # From messages of streams to the contacts of each device, for what getting ready asks.
      class Contacts
        # rows – { stream_id:, time_us:, source:, kind:, started_at:, stands_in: }, stream by stream, by time; source – a button
        def initialize(rows)
          @by_device = Hash.new { |hash, device| hash[device] = [] }
          @began = {}
          @down = {}
          rows.each { |row| take(row) }
        end

        # { device id => [Kinds::Ready::Contact] }
        def by_device = @by_device.dup.tap { |all| all.default_proc = nil }

        private

        # A listener's clock has its own beginning: the stream's first message is taken to have come as it began.
        def take(row)
          @began[row[:stream_id]] ||= row[:time_us]
          source = row.values_at(:stream_id, :source)
          return @down[source] = row if row[:kind] == "down"

          down = row[:kind] == "up" ? @down.delete(source) : row
          add(down, row[:time_us] - down[:time_us]) if down
        end

        def add(row, held_us)
          device, button = row[:source].split("/", 2)
          at = row[:started_at] + Rational(row[:time_us] - @began[row[:stream_id]], 1_000_000)
          return unless button

          @by_device[device] << Kinds::Ready::Contact.new(button:, held_us:, at: Times.iso(at), stands_in: row[:stands_in])
        end
      end
    end
  end
end
