# frozen_string_literal: true

require "optparse"
require_relative "spool"
require_relative "recording_commands"
require_relative "reach_commands"

module Kippen
  # What bin/kippen does. Given its streams, so that tests can watch it.
  class CommandLine
    USAGE = <<~TEXT
      bin/kippen replay --fitting F.json --trace T.csv   what every press of a trace does, one JSON object a line
      bin/kippen replay --cases FILE.json                the same for every case of a file of worked cases
      bin/kippen explain --fitting F.json --trace T.csv  the account of every press: what was heard, filtered, looked at, and why
      bin/kippen tune --trials F.json [--beside G.json]… [--price P] [--fix tap_gap_ms=300]…   the timing that fits trials of one button
      bin/kippen check --fitting F.json [--trials T.json]… [--contacts C.json] [--at TIME]   what is wrong with a fitting before it hurts, and what would mend it
      bin/kippen heard --recording R                     which keys and buttons a recording has: libinput's YAML, evemu's text, raw input events
      bin/kippen trace --recording R --stands KEY_ENTER=DEVICE/BUTTON…   a recording as a trace
      bin/kippen events --trace T.csv --stands KEY_ENTER=DEVICE/BUTTON… --as evemu|raw   a trace as what Linux programs read
      bin/kippen remap --fitting F.json --device DEVICE --id BUS:VENDOR:PRODUCT [--stands CODE=DEVICE/BUTTON]…   a plain remap for udev
      bin/kippen reach --fitting F.json [--trials T.json]… [--contacts C.json] [--without DEVICE]…   what can be got at, and how well
      bin/kippen propose --slots S.json [--changes N]    the few changes that would help most, of a table of slots
      bin/kippen propose --fitting F.json [--trials T.json]… [--changes N] [--table]   the same of a fitting; --table prints its table
      "-" in place of a file reads standard input. A bad file: exit 2, one line a fault on standard error.
    TEXT

    # Something the caller asked for can't be done; the message says what.
    class Misuse < Error; end

    # open – takes a file's name, yields what can be read of it
    # knowledge – gives the Knowledge that check goes by
    # solver – gives what Proposals is given
    def initialize(input:, output:, errors:, open:, knowledge: -> { raise Misuse, "nothing is known here to check by" },
                   solver: -> { raise Misuse, "propose needs the gem highs, which isn't here" })
      @open = open
      @knowledge = knowledge
      @solver = solver
      @input = input
      @output = output
      @errors = errors
    end

    # Takes the arguments; returns the exit status.
    def run(arguments)
      command, *rest = arguments
      case command
      when "replay" then replay(options(rest))
      when "explain" then explain(options(rest))
      when "tune" then tune(rest)
      when "check" then check(check_options(rest))
      when "heard", "trace", "events", "remap" then recordings(command, rest)
      when "reach", "propose" then reached(command, rest)
      when "--help", "help", nil then @output.puts USAGE
      else raise Misuse,
                 "unknown command #{command}, must be replay, explain, tune, check, heard, trace, events, remap, reach or " \
                 "propose\n#{USAGE}"
      end
      0
    rescue Invalid => e
      e.faults.each { |fault| @errors.puts fault }
      2
    rescue Misuse, OptionParser::ParseError, SystemCallError => e
      @errors.puts e.message
      2
    end

    private

    def recordings(command, rest)
      RecordingCommands.new(output: @output, text: method(:text), knowledge: @knowledge).run(command, rest)
    end

    def reached(command, rest)
      ReachCommands.new(output: @output, text: method(:text), knowledge: @knowledge, solver: @solver).run(command, rest)
    end

    def options(arguments)
      given = {}
      parser = OptionParser.new
      %i[fitting trace cases].each { |name| parser.on("--#{name} FILE") { |file| given[name] = file } }
      left = parser.parse(arguments)
      raise Misuse, "unknown argument #{left.first}\n#{USAGE}" unless left.empty?

      given
    end

    def replay(given)
      case given.keys.sort
      when [:cases] then replay_cases(given[:cases])
      when %i[fitting trace] then replay_trace(given[:fitting], given[:trace])
      else raise Misuse, "replay takes --fitting and --trace, or --cases\n#{USAGE}"
      end
    end

    def replay_cases(file)
      Formats::CasesJson.read(text(file, Limits::CASES_BYTES)).each do |item|
        outcomes = Press::Replay.run(item.fitting, item.rows).map(&:to_h)
        @output.puts JSON.generate("name" => item.name, "outcomes" => outcomes)
      end
    end

    # A fault may come in the last row, and then nothing may have been printed: so the
    # rows go aside until the whole trace has been read, to a file once they are many.
    def replay_trace(fitting_file, trace_file)
      fitting = Formats::FittingJson.read(text(fitting_file, Limits::FITTING_BYTES))
      json = Formats::OutcomeJson.new
      Spool.open(@output) do |aside|
        open_file(trace_file) { |io| Press::Replay.stream(fitting, io) { |outcome| aside.line(json.line(outcome)) } }
      end
    end

    def explain(given)
      raise Misuse, "explain takes --fitting and --trace\n#{USAGE}" unless given.keys.sort == %i[fitting trace]

      fitting = Formats::FittingJson.read(text(given[:fitting], Limits::FITTING_BYTES))
      stories = Press::Stories.new
      open_file(given[:trace]) do |io|
        Press::Replay.stream(fitting, io, recorder: stories, most_rows: Limits::EXPLAINED_ROWS) { nil }
      end
      stories.stories.each { |story| @output.puts JSON.generate(Press::Account.of(fitting, story)) }
    end

    def check_options(arguments)
      given = { trials: [] }
      parser = OptionParser.new
      %i[fitting contacts at].each { |name| parser.on("--#{name} VALUE") { |value| given[name] = value } }
      parser.on("--trials FILE") { |file| given[:trials] << file }
      left = parser.parse(arguments)
      raise Misuse, "check takes --fitting, and --trials, --contacts and --at\n#{USAGE}" unless given[:fitting] && left.empty?

      given
    end

    def check(given)
      fitting = Formats::FittingJson.read(text(given[:fitting], Limits::FITTING_BYTES))
      heard = { trials: given[:trials].map { |file| trials_of(fitting, file) },
                contacts: given[:contacts] ? Formats::ContactsJson.read(text(given[:contacts], Limits::FITTING_BYTES)) : {} }
      knowledge = @knowledge.call
      fixes = Check::Fixes.new(fitting, knowledge, at: given[:at], **heard)
      result = Check.of(fitting, knowledge, **heard)
      found = result.findings.map { |finding| finding.with(fixes: fixes.of(finding)).checked }
      @output.puts JSON.generate(result.plain.merge("findings" => found))
    end

    # Presses of a button that is there.
    def trials_of(fitting, file)
      series = Formats::TrialsJson.read(text(file, Limits::CASES_BYTES))
      return series if fitting.button(series.button_id)

      raise Misuse, "--trials: the fitting has no button #{Faults.show(series.button_id)}"
    end

    def tune(arguments)
      given = tune_options(arguments)
      series = Formats::TrialsJson.read(text(given[:trials], Limits::CASES_BYTES))
      beside = given[:beside].flat_map { |file| beside(series, Formats::TrialsJson.read(text(file, Limits::CASES_BYTES))) }
      can_be_set(series, given[:fixed])
      price = given.fetch(:price, Tuning::Fit::PRICE)
      @output.puts JSON.generate(Tuning::Answer.new(series, beside:, price:, fixed: given[:fixed]).to_h)
    end

    def tune_options(arguments)
      given = { fixed: {}, beside: [] }
      parser = OptionParser.new
      parser.on("--trials FILE") { |file| given[:trials] = file }
      parser.on("--beside FILE") { |file| given[:beside] << file }
      parser.on("--price P") { |price| given[:price] = price(price) }
      parser.on("--fix SETTING=VALUE") { |said| given[:fixed].merge!(fixed(said)) }
      left = parser.parse(arguments)
      raise Misuse, "tune takes --trials\n#{USAGE}" unless given[:trials] && left.empty?

      given
    end

    # A second of waiting, in wrong presses.
    def price(text)
      price = Float(text, exception: false)
      return price if price&.between?(0, Tuning::Fit::MOST_PRICE)

      raise Misuse, "--price takes a number from 0 to #{Tuning::Fit::MOST_PRICE}, not #{text}"
    end

    # Presses beside are of the same kind of button, and of what is offered here.
    def beside(series, other)
      unless other.kind == series.kind
        raise Misuse, "--beside: of a #{other.kind} button; these trials are of a #{series.kind} one"
      end

      other.trials.select { |trial| [*series.offered, *Tuning::STILL].include?(trial.intended) }
    end

    # Raises Misuse where a value that is to stay can't be set.
    def can_be_set(series, fixed)
      fixed.each do |name, value|
        nearest = Kinds::Settable.nearest(series.settable[name], value)
        raise Misuse, "--fix: #{name} can't be #{value}; the nearest that can be set is #{nearest}" unless nearest == value
      end
      levels = series.whole.merge(fixed)
      raise Misuse, "--fix: release_at must be below press_at" unless levels["release_at"] < levels["press_at"]
    end

    # SETTING=VALUE as { setting => value }.
    def fixed(said)
      name, text = said.split("=", 2)
      setting = Fitting::Timing::SETTINGS[name] || raise(Misuse, "--fix: unknown setting #{name}")
      value = setting.choices ? text : Integer(text, 10, exception: false) || Float(text, exception: false)
      fault = Fitting::Timing.fault(setting, value)
      fault ? raise(Misuse, "--fix: #{name} #{fault}") : { name => value }
    end

    def text(file, limit) = open_file(file) { |io| io.read(limit + 1) || "" }

    def open_file(file, &)
      return yield(@input.binmode) if file == "-"

      @open.call(file, &)
    end
  end
end
