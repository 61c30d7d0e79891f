# frozen_string_literal: true

module Kippen
  module Formats
    # From what Linux recorded to a trace of buttons, and back: by which code is which button.
    class RecordedTrace
      # codes – Kinds::Codes; it names the kernel's numbers
      def initialize(codes)
        named = [*codes.keys, *codes.buttons].filter_map { |row| row["linux"] }
        @names = named.reverse.to_h { |linux| [linux["number"], linux["name"]] }
        @numbers = named.reverse.to_h { |linux| [linux["name"], linux["number"]] }
      end

      # What was pressed in it, and how often: { "KEY_ENTER" => 3 }; what has no name is called by its number.
      def heard(events)
        down = events.select { |one| one.type == Recording::KEY && one.value == Recording::DOWN }
        down.map { |one| name(one.code) }.tally
      end

      # Rows [t_us, button, "down" or "up", ""] from the first event on. stands – { "KEY_ENTER" => "device/button" }; what stands
      # for none is left, and so is the key's own repeating. Raises Invalid.
      def rows(events, stands)
        by_number = stands.to_h { |code, button| [number(code), button] }
        first = events.first&.time_us || 0
        pressed = events.select { |one| one.type == Recording::KEY && one.value.between?(0, 1) && by_number.key?(one.code) }
        pressed.map do |one|
          [one.time_us - first, by_number[one.code], one.value == Recording::DOWN ? "down" : "up", ""]
        end
      end

      # [Recording::Event] of a trace's rows; after each comes the report that the kernel gives. Rows of others are left.
      def events(rows, stands)
        by_button = stands.to_h { |code, button| [button, number(code)] }
        rows.select { |_, source, kind| by_button.key?(source) && %w[down up].include?(kind) }.flat_map do |time_us, source, kind|
          value = kind == "down" ? Recording::DOWN : Recording::UP
          [Recording::Event.new(time_us:, type: Recording::KEY, code: by_button[source], value:),
           Recording::Event.new(time_us:, type: Recording::SYN, code: 0, value: 0)]
        end
      end

      private

      def name(number) = @names.fetch(number) { number.to_s }

      # By its name or its number. Raises Invalid.
      def number(code)
        @numbers[code] || Integer(code, 10, exception: false)&.then do |number|
          number if number.between?(0, Recording::KEYS - 1)
        end ||
          raise(Invalid.at("--stands", Words.say(:no_such_code, code: Faults.show(code))))
      end
    end
  end
end
