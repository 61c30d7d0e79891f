# frozen_string_literal: true

require_relative "helper"
require "timeout"

module Kippen
  # Hostile input: good files, mutated by a seeded fuzzer. Each is either taken or refused with
  # status 2 and lines that name a place; never a back trace, never a hang.
  class FuzzTest < CoreTest
    SEED = 20_261_125
    # bin/siege files has more.
    TIMES = Integer(ENV.fetch("KIPPEN_FILES", "4080"), 10)
    HANG_SECONDS = 2
    PLACE = %r{\A(?:/[^:]*|row \d+|file): .}
    NASTY = [
      "", "\"", ",", "\n", "\r\n", "\uFEFF", "\x00", "\xFF", "NaN", "1e400", "-1", "9007199254740993", "0.5", "null", "true",
      "[]", "{}", "[[[[",
      "{\"a\":", "\\u0000", "9007199254740992", "everywhere", "base", "held", "remote/ok", "t_us", "🦆", "-0", "1e3",
      "\"id\":\"x\",\"id\":\"x\"",
      "999999999999999999999"
    ].freeze

    FITTING = JSON.generate(
      "kippen" => "fitting/1", "follow" => "pointer", "devices" => REMOTE,
      "modes" => [{ "id" => "calls", "otherwise" => "builtin" }],
      "places" => [{ "id" => "letters", "app" => "rookery" }], "timing" => { "gap_bridge_ms" => 20, "press_at" => 0.7 },
      "button_timing" => { OK => { "tap_gap_ms" => 250 } },
      "hosts" => [{ "id" => "desk", "settings" => { "drag_lock" => true } }], "confirm_s" => 20,
      "arrangements" => [{ "id" => "own-a", "name" => "A",
                           "parts" => [{ "button" => "ok", "gesture" => "tap", "action" => { "kind" => "help" } }] }],
      "assignments" => [
        { "button" => OK, "gesture" => "tap", "action" => { "kind" => "builtin" }, "at_once" => true },
        { "button" => "remote/list", "gesture" => "hold", "action" => { "kind" => "mode", "mode" => "calls", "how" => "held" } },
        { "button" => OK, "gesture" => "long_press", "place" => "letters", "mode" => "calls",
          "repeat" => { "after_ms" => 400, "every_ms" => 100 },
          "action" => { "kind" => "scroll" } }
      ]
    )
    TRACE = <<~CSV
      t_us,source,kind,value
      0,,pointer_in,rookery
      1000,remote/ok,down,
      90000,remote/ok,up,
      100000,remote/grip,level,0.8
      150000,"remote/grip",level,"0.1"
      200000,remote/wheel-up,notch,
      900000,,end,
    CSV
    CASES = JSON.generate([{ "name" => "a", "fitting" => JSON.parse(FITTING), "trace" => [
                            { "t_us" => 0, "source" => OK, "kind" => "down", "value" => "" },
                            { "t_us" => 9, "source" => OK, "kind" => "up", "value" => "" }
                          ], "outcomes" => [] }])

    # One to three changes: something cut out, doubled, swapped, put in, or a byte turned.
    def mutated(text, random)
      random.rand(1..3).times.reduce(text.b) { |bytes, _| change(bytes.dup, random) }
    end

    def change(bytes, random)
      from = random.rand(bytes.bytesize + 1)
      length = [random.rand(1..12), bytes.bytesize - from].min
      case random.rand(6)
      when 0 then bytes[from, length] = ""
      when 1 then bytes.insert(from, bytes[from, length])
      when 2 then bytes[from, length] = NASTY.sample(random:).b
      when 3 then bytes.insert(from, NASTY.sample(random:).b)
      when 4 then bytes.setbyte(from, random.rand(256)) if from < bytes.bytesize
      else other_value(bytes, random)
      end
      bytes
    end

    # A whole number or word in place of another one, so that the shape stays.
    def other_value(bytes, random)
      spots = bytes.to_enum(:scan, /\d+|true|"[a-z_]+"/n).map { Regexp.last_match.offset(0) }
      from, to = spots.sample(random:)
      bytes[from...to] = NASTY.sample(random:).b if from
    end

    # The file that is not mutated stands ready in the folder.
    def ready(folder)
      File.binwrite(File.join(folder, "fitting.json"), FITTING)
      File.binwrite(File.join(folder, "trace.csv"), TRACE)
    end

    def answer(kind, text, folder)
      case kind
      when :fitting then command("replay", "--fitting", "-", "--trace", File.join(folder, "trace.csv"), input: text)
      when :trace then command("replay", "--fitting", File.join(folder, "fitting.json"), "--trace", "-", input: text)
      else command("replay", "--cases", "-", input: text)
      end
    end

    def test_mutated_files_are_taken_or_refused
      random = Random.new(SEED)
      statuses = Hash.new(0)
      Dir.mktmpdir do |folder|
        ready(folder)
        forget_peak
        TIMES.times do |number|
          kind = %i[fitting trace cases][number % 3]
          text = mutated({ fitting: FITTING, trace: TRACE, cases: CASES }.fetch(kind), random)
          status, output, errors = Timeout.timeout(HANG_SECONDS) { answer(kind, text, folder) }
          statuses[status] += 1
          assert_includes [0, 2], status
          next assert_equal("", errors) if status.zero?

          assert_equal "", output, text
          assert(errors.lines.any? && errors.lines.all? { |line| PLACE.match?(line) }, "#{kind}, #{text.inspect}: #{errors}")
        end
      end
      assert_operator statuses[0], :>, TIMES / 100
      assert_operator statuses[2], :>, TIMES / 2
      assert_operator memory_kilobytes("VmHWM") - @before, :<, 200_000
    end

    # What the process has held at most (VmHWM), or holds now (VmRSS); proc(5).
    def memory_kilobytes(which) = Integer(File.read("/proc/self/status")[/#{which}:\s+(\d+)/, 1], 10)

    # What other tests have held before is none of this one's: 5 begins the peak anew (proc(5), clear_refs).
    def forget_peak
      File.write("/proc/self/clear_refs", "5")
      @before = memory_kilobytes("VmRSS")
    end

    # What is decided on purpose: text → what is said, or nil where it is taken.
    DECIDED = {
      "" => "file: is empty", "  \n" => "file: is empty", "\uFEFF{}" => /\Afile: is not JSON/,
      "null" => "/: must be a JSON object, a fitting",
      '{"kippen":"fitting/1","timing":{"tap_gap_ms":1e400}}' => "file: has a number too large to hold",
      '{"kippen":"fitting/1","timing":{"tap_gap_ms":NaN}}' => /\Afile: is not JSON/,
      '{"kippen":"fitting/1","timing":{"tap_gap_ms":1e2}}' => nil,
      '{"kippen":"fitting/1","devices":[{"id":"a","id":"b"}]}' => 'file: key "id" stands twice in one object',
      "{\"kippen\":\"fitting/1\",\"note\":\"\xFF\"}" => "file: is not valid UTF-8",
      '{"kippen":"fitting/1","timing":{"press_at":true}}' => "/timing/press_at: is true, must be a number",
      "{\"kippen\":\"fitting/1\"}\r\n" => nil
    }.freeze

    def test_what_is_decided_on_purpose
      Dir.mktmpdir do |folder|
        ready(folder)
        DECIDED.each do |text, said|
          status, _, errors = answer(:fitting, text, folder)
          # taken; the trace then names unknown buttons
          next assert_equal(2, status, errors) && assert_match(/button/, errors) if said.nil?

          assert_equal 2, status, text
          said.is_a?(Regexp) ? assert_match(said, errors) : assert_equal("#{said}\n", errors)
        end
      end
    end
  end
end
