# frozen_string_literal: true

require "optparse"

module Kippen
  # What bin/kippen does with recordings: which keys are in one, a trace made of one, and one made of a trace;
  # and with a fitting: what of it udev can be told.
  class RecordingCommands
    WAYS = %w[evemu raw].freeze

    # text – takes a file's name and the most bytes, gives what is in it; knowledge – gives the Knowledge
    def initialize(output:, text:, knowledge:)
      @output = output
      @text = text
      @knowledge = knowledge
    end

    # Raises CommandLine::Misuse, Invalid.
    def run(command, arguments)
      given = options(arguments)
      case command
      when "heard" then heard(given)
      when "trace" then trace(given)
      when "remap" then remap(given)
      else events(given)
      end
    end

    private

    def options(arguments)
      given = { stands: {} }
      parser = OptionParser.new
      %i[recording trace as fitting device id].each { |name| parser.on("--#{name} VALUE") { |value| given[name] = value } }
      parser.on("--stands CODE=BUTTON") { |said| given[:stands].store(*stands(said)) }
      left = parser.parse(arguments)
      raise CommandLine::Misuse, "unknown argument #{left.first}\n#{CommandLine::USAGE}" unless left.empty?

      given
    end

    def stands(said)
      code, button = said.split("=", 2)
      raise CommandLine::Misuse, "--stands takes CODE=DEVICE/BUTTON, not #{said}" unless button&.match?(%r{\A[^/\s]+/[^/\s]+\z})

      [code, button]
    end

    def needed(given, name) = given[name] || raise(CommandLine::Misuse, "--#{name} is needed\n#{CommandLine::USAGE}")
    def recorded = Formats::RecordedTrace.new(@knowledge.call.codes)

    def recording(given)
      bytes = @text.call(needed(given, :recording), Limits::CASES_BYTES)
      raise CommandLine::Misuse, "--recording: more than #{Limits::CASES_BYTES} bytes" if bytes.bytesize > Limits::CASES_BYTES

      Formats::Recording.read(bytes)
    end

    def heard(given)
      recorded.heard(recording(given)).each { |code, times| @output.puts JSON.generate("code" => code, "presses" => times) }
    end

    def trace(given)
      @output.write(Formats::TraceCsv.text(recorded.rows(recording(given), given[:stands])))
    end

    # Bus, vendor and product, as lsusb and the kernel write them.
    def remap(given)
      fitting = Formats::FittingJson.read(@text.call(needed(given, :fitting), Limits::FITTING_BYTES))
      device = fitting.device(needed(given, :device)) ||
               raise(CommandLine::Misuse, "--device: the fitting has no device #{Faults.show(given[:device])}")
      bus, vendor, product, more = needed(given, :id).split(":")
      raise CommandLine::Misuse, "--id takes BUS:VENDOR:PRODUCT, such as 0003:1209:0001" if product.nil? || more

      hwdb = Formats::Hwdb.new(fitting, device, @knowledge.call, stands: given[:stands])
      @output.write(hwdb.fragment(bus:, vendor:, product:).text)
    end

    def events(given)
      way = needed(given, :as)
      raise CommandLine::Misuse, "--as takes evemu or raw, not #{way}" unless WAYS.include?(way)

      text = StringIO.new(@text.call(needed(given, :trace), Limits::CASES_BYTES))
      rows = Formats::TraceCsv.new(text).map { |time_us, (source, kind)| [time_us, source, kind] }
      made = recorded.events(rows, given[:stands])
      @output.write(way == "raw" ? Formats::Recording.to_raw(made) : Formats::Recording.to_evemu(made, name: "Kippen"))
    end
  end
end
