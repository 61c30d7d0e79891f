# frozen_string_literal: true

require "minitest/autorun"
require "stringio"
require "tmpdir"
require_relative "../lib/kippen"
require_relative "../data_folder"

module Kippen
  # What core tests share: a small remote control, and short ways to speak of presses.
  class CoreTest < Minitest::Test
    REMOTE = [{ "id" => "remote",
                "buttons" => [{ "id" => "ok" }, { "id" => "list" }, { "id" => "wheel-up", "kind" => "notch" },
                              { "id" => "grip", "kind" => "force" }] }].freeze
    OK = "remote/ok"

    def document(members = {}) = { "kippen" => "fitting/1", "devices" => REMOTE }.merge(members)

    def fitting(members = {}) = Fitting.read(document(members))

    # A fitting with some members of its document in place of those it has.
    def amended(fitting, members) = Fitting.read(fitting.document.merge(members))

    def assignment(gesture, what = gesture, **more)
      { "button" => OK, "gesture" => gesture,
        "action" => { "kind" => "open", "what" => what } }.merge(more.transform_keys(&:to_s))
    end

    # [[where, message]…] of what is refused
    def faults(&)
      error = assert_raises(Invalid, &)
      error.faults.map { |fault| [fault.where, fault.message] }
    end

    # rows – [ms, kind] on OK, or [ms, source, kind, value]
    def replay(fitting, *rows)
      events = Press::Events.new(fitting)
      Press::Replay.run(fitting, rows.map { |row| row(events, row) }).map(&:to_h)
    end

    def row(events, row)
      time, *rest = row
      rest = rest.first == "end" ? ["", "end", ""] : [OK, rest.first, ""] if rest.size == 1
      [(time * 1000).to_i, events.read(*rest)]
    end

    # Runs the command line; returns [status, standard output, standard error]. known – with the data that ship
    def command(*arguments, input: "", known: false)
      output = StringIO.new
      errors = StringIO.new
      status = CommandLine.new(input: StringIO.new(input), output:, errors:,
                               open: ->(file, &read) { File.open(file, "rb", &read) },
                               **(known ? { knowledge: } : {})).run(arguments)
      [status, output.string, errors.string]
    end

    def knowledge = -> { Knowledge.read(DataFolder.texts(File.expand_path("../data", __dir__))) }
  end
end
