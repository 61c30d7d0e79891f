# frozen_string_literal: true

require "yaml"

module Kippen
  module Formats
    # What Linux programs record of an input device: libinput's recordings (YAML), evemu's text, and the kernel's own
    # struct input_event, byte for byte. Read into events; written from them. Sources: linux/input.h and
    # linux/input-event-codes.h of linux-libc-dev 6.1; libinput record and evemu-format as Debian 12 has them.
    module Recording
      # time_us – since the epoch or the start; type, code, value – as the kernel's
      Event = Struct.new(:time_us, :type, :code, :value, keyword_init: true)

      SYN = 0
      KEY = 1
      DOWN = 1
      UP = 0
      # struct input_event on a 64-bit machine: seconds, microseconds, type, code, value.
      BYTES = 24
      PACKED = "q<2S<2l<"
      EVEMU = /\AE:\s*(\d{1,12})\.(\d{6})\s+(\h{4})\s+(\h{4})\s+(-?\d{1,10})\b/
      MOST = 200_000
      # The highest key or button there is, see KEY_CNT.
      KEYS = 768

      module_function

      # bytes – of a file of any of the three. Returns [Event] of the first device in it. Raises Invalid.
      def read(bytes)
        text = bytes.dup.force_encoding("UTF-8")
        return raw(bytes) unless text.valid_encoding? && !text.include?("\u0000")

        text.match?(/^E:/) ? evemu(text) : yaml(text)
      end

      # Lines "E: seconds.microseconds type code value"; whatever else there is, is left.
      def evemu(text)
        lines = text.each_line.with_index(1).select { |line, _| line.start_with?("E:") }
        checked(lines.map do |line, number|
          match = EVEMU.match(line) || bad("line #{number}", Words.say(:no_event_line))
          Event.new(time_us: time(match[1].to_i, match[2].to_i), type: match[3].to_i(16), code: match[4].to_i(16),
                    value: match[5].to_i)
        end)
      end

      # What libinput record writes: devices, their events, each a list of [seconds, microseconds, type, code, value].
      def yaml(text)
        document = YAML.safe_load(text)
        devices = document.is_a?(Hash) && document["devices"]
        bad("", Words.say(:no_recording)) unless devices.is_a?(Array) && devices.first.is_a?(Hash)

        events = devices.first["events"]
        bad("/devices/0/events", Words.say(:must_be_an_array)) unless events.is_a?(Array)
        checked(events.each_with_index.flat_map { |event, index| of_yaml(event, "/devices/0/events/#{index}") })
      rescue Psych::Exception
        bad("", Words.say(:no_recording))
      end

      def of_yaml(event, pointer)
        rows = event.is_a?(Hash) ? event.fetch("evdev", []) : nil
        right = rows.is_a?(Array) && rows.all? { |row| row.is_a?(Array) && row.size == 5 && row.all?(Integer) }
        bad("#{pointer}/evdev", Words.say(:no_event_line)) unless right

        rows.map { |row| event(row) }
      end

      def raw(bytes)
        bad("", Words.say(:no_recording)) unless bytes.bytesize.positive? && (bytes.bytesize % BYTES).zero?

        checked(bytes.unpack(PACKED * (bytes.bytesize / BYTES)).each_slice(5).map { |row| event(row) })
      end

      # row – [seconds, microseconds, type, code, value]
      def event(row)
        sec, usec, type, code, value = row
        Event.new(time_us: time(sec, usec), type:, code:, value:)
      end

      # events – in their order. Returns bytes.
      def to_raw(events)
        events.map { |one| [*one.time_us.divmod(1_000_000), one.type, one.code, one.value].pack(PACKED) }.join
      end

      # The same as evemu's text, with a device that has just these keys.
      def to_evemu(events, name:)
        codes = events.select { |one| one.type == KEY }.map(&:code).uniq
        head = ["# EVEMU 1.3", "N: #{name.gsub(/[\r\n]/, " ")}", "I: 0003 0000 0000 0000", "P: 00 00 00 00 00 00 00 00",
                *bits(SYN, [SYN, KEY], 64), *bits(KEY, codes, KEYS)]
        lines = events.map do |one|
          format("E: %d.%06d %04x %04x %d", *one.time_us.divmod(1_000_000), one.type, one.code, one.value)
        end
        "#{[*head, *lines].join("\n")}\n"
      end

      # Lines "B: type byte…" of eight bytes each.
      def bits(type, set, most)
        bytes = Array.new(most / 8) { |byte| (0..7).sum { |bit| set.include?((byte * 8) + bit) ? 1 << bit : 0 } }
        bytes.each_slice(8).map { |part| format("B: %02x %s", type, part.map { |byte| format("%02x", byte) }.join(" ")) }
      end

      def time(sec, usec) = (sec * 1_000_000) + usec

      def checked(events)
        bad("", Words.say(:has_items_most_are_taken, items: events.size, most: MOST)) if events.size > MOST
        late = events.each_cons(2).find_index { |one, other| other.time_us < one.time_us }
        bad("event #{late + 2}", Words.say(:event_before_last)) if late
        events
      end

      def bad(where, words) = raise(Invalid.at(where, words))
      private_class_method :evemu, :yaml, :of_yaml, :raw, :event, :bits, :time, :checked, :bad
    end
  end
end
