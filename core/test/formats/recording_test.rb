# frozen_string_literal: true

require_relative "../kinds_data"
require "stringio"

module Kippen
  # Recordings of Linux programs, read and written, and the trace between.
  class RecordingTest < CoreTest
    include KindsData

    # As `libinput record` of Debian 12 (1.22) writes it; shortened.
    YAML_TEXT = <<~TEXT
      # libinput record
      version: 1
      ndevices: 1
      devices:
      - node: /dev/input/event5
        evdev:
          name: "A switch"
        events:
        # Current time is 12:00:00
        - evdev:
          - [  0,      0,   4,   4, 458792] # EV_MSC / MSC_SCAN
          - [  0,      0,   1,  28,       1] # EV_KEY / KEY_ENTER
          - [  0,      0,   0,   0,       0] # SYN_REPORT
        - evdev:
          - [  0, 250000,   1,  28,       2] # EV_KEY / KEY_ENTER
        - evdev:
          - [  0, 400500,   1,  28,       0] # EV_KEY / KEY_ENTER
          - [  0, 400500,   0,   0,       0] # SYN_REPORT
    TEXT
    # As evemu-record writes it.
    EVEMU_TEXT = <<~TEXT
      # EVEMU 1.3
      N: A switch
      E: 0.000001 0001 001c 0001	# EV_KEY / KEY_ENTER            1
      E: 0.000001 0000 0000 0000	# ------------ SYN_REPORT (0) ----------
      E: 0.400501 0001 001c 0000	# EV_KEY / KEY_ENTER            0
    TEXT
    ROWS = [[0, "grip/squeeze", "down", ""], [400_500, "grip/squeeze", "up", ""]].freeze
    STANDS = { "KEY_ENTER" => "grip/squeeze" }.freeze

    def recorded = Formats::RecordedTrace.new(KNOWLEDGE.codes)
    def read(bytes) = Formats::Recording.read(bytes)
    def events = recorded.events(ROWS, STANDS)

    def test_the_same_trace_of_each
      raw = [0, 7, 1, 28, 1, 0, 400_507, 1, 28, 0].pack("q<2S<2l<q<2S<2l<")
      { "yaml" => YAML_TEXT, "evemu" => EVEMU_TEXT, "raw" => raw }.each do |what, bytes|
        assert_equal ROWS, recorded.rows(read(bytes), STANDS), what
        assert_equal({ "KEY_ENTER" => 1 }, recorded.heard(read(bytes)), what)
      end
    end

    def test_written_and_read_again
      assert_equal ROWS, recorded.rows(read(Formats::Recording.to_raw(events)), STANDS)
      assert_equal ROWS, recorded.rows(read(Formats::Recording.to_evemu(events, name: "A\nB")), STANDS)
    end

    def test_what_has_no_name_is_known_by_its_number
      raw = [0, 0, 1, 600, 1].pack("q<2S<2l<")
      assert_equal({ "600" => 1 }, recorded.heard(read(raw)))
      assert_equal([[0, "a/b", "down", ""]], recorded.rows(read(raw), { "600" => "a/b" }))
      assert_equal([["--stands", 'no key or button is called "KEY_NONE"']], faults { recorded.rows([], { "KEY_NONE" => "a/b" }) })
    end

    def test_what_is_no_recording
      { "" => "/", "x" * 25 => "/", "devices: []" => "/", "devices: [{events: 7}]" => "/devices/0/events",
        "devices: [{events: [{evdev: [[1, 2]]}]}]" => "/devices/0/events/0/evdev", "a: [" => "/",
        "E: 0.5 0001\n" => "line 1",
        "E: 1.000000 0001 001c 0001\nE: 0.000000 0001 001c 0000\n" => "event 2",
        "--- !ruby/object:Object {}" => "/" }.each do |bytes, where|
        assert_equal [where], faults { read(bytes) }.map(&:first), bytes.inspect
      end
    end

    # A file that was broken anywhere is read or refused, and nothing else.
    def test_broken_files
      random = Random.new(5)
      [YAML_TEXT, EVEMU_TEXT, Formats::Recording.to_raw(events)].each do |whole|
        300.times do
          broken = whole.b.dup
          random.rand(1..4).times { broken.setbyte(random.rand(broken.bytesize), random.rand(256)) }
          begin
            read(broken[0, random.rand(broken.bytesize + 1)])
          rescue Invalid
            nil
          end
        end
      end
    end

    def command(*arguments, files: {})
      output = StringIO.new
      errors = StringIO.new
      open = ->(file, &block) { block.call(StringIO.new(files.fetch(file))) }
      status = CommandLine.new(input: StringIO.new, output:, errors:, open:, knowledge: -> { KNOWLEDGE }).run(arguments)
      [status, output.string, errors.string]
    end

    def test_the_commands
      files = { "r.yml" => YAML_TEXT }
      assert_equal [0, %({"code":"KEY_ENTER","presses":1}\n), ""], command("heard", "--recording", "r.yml", files:)
      status, trace, = command("trace", "--recording", "r.yml", "--stands", "KEY_ENTER=grip/squeeze", files:)
      assert_equal [0, "t_us,source,kind,value\n0,grip/squeeze,down,\n400500,grip/squeeze,up,\n"], [status, trace]
      _, raw, = command("events", "--trace", "t.csv", "--stands", "KEY_ENTER=grip/squeeze", "--as", "raw",
                        files: { "t.csv" => trace })
      assert_equal ROWS, recorded.rows(read(raw), STANDS)
      assert_match(/^E: 0\.400500 0001 001c 0$/,
                   command("events", "--trace", "t.csv", "--stands", "KEY_ENTER=grip/squeeze", "--as", "evemu",
                           files: { "t.csv" => trace })[1])
    end

    def test_what_the_commands_refuse
      [%w[trace], %w[events --trace t.csv --as csv], %w[heard --recording r.yml more], %w[trace --recording r.yml --stands KEY_A]]
        .each do |arguments|
        assert_equal 2, command(*arguments, files: { "r.yml" => YAML_TEXT, "t.csv" => "" })[0],
                     arguments.join(" ")
      end
      assert_match(/no key or button is called/, command("trace", "--recording", "r.yml", "--stands", "KEY_NO=a/b",
                                                         files: { "r.yml" => YAML_TEXT })[2])
    end
  end
end
