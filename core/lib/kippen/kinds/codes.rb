# frozen_string_literal: true

module Kippen
  class Kinds
    # What a heard source is called, and its numbers in Linux, USB HID, W3C and Android
    # terms. Data: core/data/codes, whose files name their sources.
    #
    # A source is named as a listener hears it: key:CODE (W3C UI Events code), pointer:N, pen:N,
    # touch:N (W3C Pointer Events button), wheel:WAY, gamepad:PAD:button:N, gamepad:PAD:level:N,
    # gamepad:PAD:axis:N:WAY (W3C Gamepad).
    class Codes
      FORMAT = "codes/1"
      # name – in words; known – is it in the tables; codes – { "linux" => "BTN_SIDE 0x113" … };
      # kept – in words, who keeps it from being heard, or nil; note – or nil
      Heard = Struct.new(:source, :name, :known, :codes, :kept, :note, keyword_init: true)

      # Takes the JSON texts of both tables.
      def self.read(keys, buttons)
        documents = [keys, buttons].map { |text| Formats::StrictJson.read(text, limit: Limits::FITTING_BYTES) }
        documents.each do |document|
          raise Invalid.at("/kippen", Words.say(:must_be, value: FORMAT)) unless document["kippen"] == FORMAT
        end
        new(documents[0].fetch("keys"), documents[1].fetch("buttons"))
      end

      attr_reader :keys, :buttons

      def initialize(keys, buttons)
        @keys = keys.freeze
        @buttons = buttons.freeze
        @by_source = [*keys.filter_map { |row| row["w3c"] && ["key:#{row["w3c"]}", row] },
                      *buttons.map { |row| [row["source"], row] }].to_h.freeze
        freeze
      end

      # What is known of a source; an unknown one keeps its number as its name.
      def describe(source)
        row = @by_source[Codes.general(source)]
        return Heard.new(source:, name: Codes.plain(source), known: false, codes: Codes.w3c_only(source)).freeze unless row

        Heard.new(source:, name: Codes.named(source, row), known: true, codes: Codes.of(source, row), kept: row["kept"],
                  note: row["note"]).freeze
      end

      # Whatever its number, a gamepad is a gamepad.
      def self.general(source) = source.sub(/\Agamepad:\d+:/, "gamepad:*:")

      def self.named(source, row)
        return Words.say(:heard_key, name: row["name"]) if source.start_with?("key:")

        pad = source[/\Agamepad:(\d+):/, 1]
        if pad && pad != "0"
          Words.say(:heard_gamepad, number: Integer(pad, 10) + 1,
                                    name: row["name"].delete_prefix("gamepad "))
        else
          row["name"]
        end
      end

      def self.of(source, row)
        codes = {}
        codes["W3C"] = source.start_with?("key:") ? "code #{row["w3c"]}" : row["w3c"]
        codes["Linux"] = "#{row["linux"]["name"]} 0x#{row["linux"]["number"].to_s(16)}" if row["linux"]
        codes["USB HID"] = "page 0x#{row["hid"]["page"].to_s(16)}, usage 0x#{row["hid"]["usage"].to_s(16)}" if row["hid"]
        codes["Android"] = "#{row["android"]["name"]} #{row["android"]["number"]}" if row["android"]
        codes
      end

      def self.plain(source)
        kind, *rest = source.split(":")
        case kind
        when "key" then Words.say(:heard_key, name: rest.join(":"))
        when "gamepad" then Words.say(:heard_gamepad_plain, number: Integer(rest[0], 10, exception: false).to_i + 1,
                                                            name: rest.drop(1).join(" "))
        when "pointer" then Words.say(:heard_pointer, name: rest[0])
        else "#{kind} #{rest.join(" ")}"
        end.slice(0, Limits::NAME_CHARACTERS)
      end

      def self.w3c_only(source)
        kind, *rest = source.split(":")
        return { "W3C" => "code #{rest.join(":")}" } if kind == "key"
        return { "W3C" => "Gamepad API #{rest.drop(1).join(" ")}" } if kind == "gamepad"

        { "W3C" => "Pointer Events button #{rest[0]}" }
      end
    end
  end
end
