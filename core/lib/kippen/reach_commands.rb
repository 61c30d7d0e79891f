# frozen_string_literal: true

require "optparse"

module Kippen
  # What bin/kippen tells of what can be got at, and proposes.
  class ReachCommands
    # given – takes a file's name and the most bytes, gives what is in it; knowledge – gives the Knowledge; solver – gives what
    # Proposals is given
    def initialize(output:, text:, knowledge:, solver:)
      @output = output
      @text = text
      @knowledge = knowledge
      @solver = solver
    end

    # Raises CommandLine::Misuse, Invalid.
    def run(command, arguments)
      given = options(arguments)
      command == "reach" ? reach(given) : propose(given)
    end

    private

    def options(arguments)
      given = { trials: [], without: [] }
      parser = OptionParser.new
      %i[fitting slots contacts changes].each { |name| parser.on("--#{name} VALUE") { |value| given[name] = value } }
      parser.on("--trials FILE") { |file| given[:trials] << file }
      parser.on("--without DEVICE") { |device| given[:without] << device }
      parser.on("--table") { given[:table] = true }
      left = parser.parse(arguments)
      raise CommandLine::Misuse, "unknown argument #{left.first}\n#{CommandLine::USAGE}" unless left.empty?

      given
    end

    def ways(given)
      raise CommandLine::Misuse, "--fitting is needed\n#{CommandLine::USAGE}" unless given[:fitting]

      fitting = Formats::FittingJson.read(@text.call(given[:fitting], Limits::FITTING_BYTES))
      contacts = given[:contacts] ? Formats::ContactsJson.read(@text.call(given[:contacts], Limits::FITTING_BYTES)) : {}
      trials = given[:trials].map { |file| Formats::TrialsJson.read(@text.call(file, Limits::CASES_BYTES)) }
      Reach::Ways.new(fitting, @knowledge.call, trials:, contacts:, without: given[:without])
    end

    def reach(given)
      overview = Reach::Overview.new(ways(given))
      @output.puts JSON.generate(overview.plain.merge("thin" => overview.thin.map { |one|
        one.to_h.compact.transform_keys(&:to_s)
      }))
    end

    def propose(given)
      document = given[:slots] ? slots(given[:slots]) : Proposals::FromFitting.new(ways(given)).document
      return @output.puts(JSON.generate(document)) if given[:table]

      most = changes(given)
      @output.puts JSON.generate(Proposals::Answer.of(Proposals::Table.read(document), @solver.call, most:))
    end

    def slots(file)
      Formats::StrictJson.read(@text.call(file, Limits::CASES_BYTES), limit: Limits::CASES_BYTES)
    end

    def changes(given)
      return if given[:changes].nil?

      number = Integer(given[:changes], 10, exception: false)
      return number if number&.between?(0, Proposals::Frontier::MOST)

      raise CommandLine::Misuse, "--changes takes a number from 0 to #{Proposals::Frontier::MOST}, not #{given[:changes]}"
    end
  end
end
