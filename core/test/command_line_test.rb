# frozen_string_literal: true

require_relative "helper"
require "tempfile"

module Kippen
  class CommandLineTest < CoreTest
    def file(text)
      Tempfile.create("kippen") do |io|
        io.write(text)
        io.flush
        return yield(io.path)
      end
    end

    def replay_files(fitting_text, trace)
      file(fitting_text) { |path| command("replay", "--fitting", path, "--trace", "-", input: trace) }
    end

    TRACE = "t_us,source,kind,value\n0,remote/ok,down,\n180000,remote/ok,up,\n900000,,end,\n"

    def test_replay_prints_one_object_a_line
      status, output, errors = replay_files(JSON.generate(document("assignments" => [assignment("tap"),
                                                                                     assignment("double_tap")])), TRACE)

      assert_equal [0, ""], [status, errors]
      assert_equal '{"at_us":480000,"button":"remote/ok","gesture":"tap","phase":"fire","began_us":0,"mode":"base",' \
                   "\"place\":\"everywhere\",\"action\":{\"kind\":\"open\",\"what\":\"tap\"}}\n", output
    end

    # More output than is held in memory goes through a temporary file and comes out the same.
    def test_much_output_comes_out_whole_and_none_where_the_last_row_is_bad
      fitting = JSON.generate(document("assignments" => [assignment("tap")]))
      rows = (1..9000).map { |press| "#{press * 2000},remote/ok,down,\n#{(press * 2000) + 1000},remote/ok,up,\n" }
      trace = "t_us,source,kind,value\n#{rows.join}"
      status, output, = replay_files(fitting, trace)

      assert_operator output.bytesize, :>, Spool::MOST_IN_MEMORY
      assert_equal [0, (1..9000).map { |press| press * 2000 }], [status, output.lines.map { |line| JSON.parse(line)["at_us"] }]
      assert_equal [2, "", "row 18002: time runs backwards: 1 comes after 18001000\n"], replay_files(fitting, "#{trace}1,,end,\n")
    end

    # What is given → the lines on standard error; nothing on standard output, status 2.
    def test_bad_files_are_refused_with_a_line_a_fault
      good = JSON.generate(document)
      table = {
        ["{", TRACE] => /\Afile: is not JSON: /,
        ['{"kippen":"fitting/1","kippen":"fitting/1"}', TRACE] => /\Afile: key "kippen" stands twice in one object\n\z/,
        [JSON.generate(document("follow" => 1, "modes" => {})),
         TRACE] => %r{\A/modes: must be an array\n/follow: is 1, must be one of pointer, focus\n\z},
        ["[" * 60, TRACE] => /\Afile: is nested deeper than 40 levels\n\z/,
        ["x" * 2_000_001, TRACE] => /\Afile: has more than 2000000 bytes\n\z/,
        ["", TRACE] => /\Afile: is empty\n\z/,
        ["\xFF", TRACE] => /\Afile: is not valid UTF-8\n\z/,
        [good, "#{TRACE}1000000,remote/none,down,\n"] => %r{\Arow 5: unknown button "remote/none"\n\z},
        [good, "#{TRACE}1000000,remote/ok,notch,\n"] => %r{\Arow 5: remote/ok is a contact button and can't give notch\n\z},
        [good, "#{TRACE}1000000,remote/grip,level,1e400\n"] => /\Arow 5: level must be a number from 0 to 1, is "1e400"\n\z/,
        [good, "#{TRACE}1000000,remote/grip,level,NaN\n"] => /\Arow 5: level must be a number from 0 to 1, is "NaN"\n\z/,
        [good, "#{TRACE}1000000,remote/ok,down,7\n"] => /\Arow 5: down takes no value, has "7"\n\z/,
        [good, "#{TRACE}1000000,tv,pointer_in,rookery\n"] => /\Arow 5: unknown host "tv"\n\z/,
        [good, "#{TRACE}1000000,,pointer_in,a b\n"] => %r{\Arow 5: pointer_in takes app, app/part or nothing, has "a b"\n\z},
        [good,
         "#{TRACE}1000000,,explode,\n"] => /\Arow 5: unknown kind "explode", must be one of down, up, level, notch, /
      }
      table.each do |(fitting_text, trace), expected|
        status, output, errors = replay_files(fitting_text, trace)
        assert_equal [2, ""], [status, output], expected.source
        assert_match expected, errors
      end
    end

    def test_bad_cases_are_told_with_their_place
      cases = [{ "name" => "x", "fitting" => document("follow" => 1), "trace" => [] },
               { "name" => "y", "fitting" => document,
                 "trace" => [{ "t_us" => 5, "source" => OK, "kind" => "down", "value" => "" },
                             { "t_us" => 4, "source" => OK, "kind" => "up", "value" => "" },
                             { "t_us" => 6, "source" => OK, "kind" => "up", "value" => 1 }] }]
      status, output, errors = command("replay", "--cases", "-", input: JSON.generate(cases))

      assert_equal [2, ""], [status, output]
      assert_equal ["/0/fitting/follow: is 1, must be one of pointer, focus",
                    "/1/trace/1/t_us: must be a whole number from 5 to 9007199254740992",
                    "/1/trace/2: source, kind and value must be text"], errors.lines(chomp: true)
    end

    def test_misuse_is_told
      assert_equal 2, command("explode")[0]
      assert_match(/\Aunknown command explode/, command("explode")[2])
      assert_match(/\Areplay takes --fitting and --trace, or --cases/, command("replay")[2])
      assert_equal 2, command("replay", "--fitting", "/nowhere", "--trace", "-")[0]
      assert_equal 0, command("--help")[0]
    end

    # bin/kippen needs Ruby and nothing else: no gem, not even those Ruby brings.
    def test_the_command_runs_on_ruby_alone
      path = File.expand_path("../../bin/kippen", __dir__)
      output = IO.popen([{ "RUBYOPT" => nil, "BUNDLE_GEMFILE" => nil }, "ruby", "--disable-gems", path, "--help"], &:read)
      assert_match(/replay --cases/, output)
    end

    def test_check_prints_what_is_found_with_what_would_mend_it
      television = { "kippen" => "fitting/1", "hosts" => [{ "id" => "tv", "system" => "television" }],
                     "devices" => [{ "id" => "remote", "host" => "tv", "kind" => "remote", "buttons" => [{ "id" => "ok" }] }] }
      status, output, errors = file(JSON.generate(television)) { |path| command("check", "--fitting", path, known: true) }
      assert_equal [0, ""], [status, errors]
      printed = JSON.parse(output)
      assert_equal([%w[serious no_help], %w[look not_ready]], printed["findings"].map { |one| one.values_at("bad", "id") })
      assert_equal({ "kind" => "assign", "button" => "remote/ok", "gesture" => "long_press", "action" => { "kind" => "help" },
                     "place" => "everywhere", "mode" => "base" }, printed["findings"][0]["fixes"][0]["change"])
      assert_includes printed["looked_for"], "no_way_back"
    end

    def test_check_refuses
      assert_equal [2, "", "check takes --fitting, and --trials, --contacts and --at\n#{CommandLine::USAGE}"], command("check")
      assert_equal [2, "", "nothing is known here to check by\n"],
                   file(JSON.generate(document)) { |path| command("check", "--fitting", path) }
      wrong = JSON.generate("remote" => [{ "button" => 1, "held_us" => "long" }])
      file(JSON.generate(document)) do |path|
        assert_equal [2, "", "/remote/0/button: must be text\n/remote/0/at: must be text\n" \
                             "/remote/0/held_us: is \"long\", must be a number\n"],
                     command("check", "--fitting", path, "--contacts", "-", input: wrong)
      end
    end

    DEMO = File.expand_path("../../demo/bram.fitting.json", __dir__)

    def test_reach_and_the_table_of_slots
      status, out, = command("reach", "--fitting", DEMO, known: true)
      told = JSON.parse(out)
      assert_equal [0, 5], [status, told["wants"].size]
      assert_equal %w[device presses seconds right low high measured trials cost_s_a_day steps],
                   told["wants"].flat_map { |want| want["ways"] }.first.keys
      assert_equal 5,
                   JSON.parse(command("reach", "--fitting", DEMO, "--without", "pocket-phone", known: true)[1])["day"]["undone"]
      status, out, = command("propose", "--fitting", DEMO, "--table", known: true)
      assert_equal [0, "slots/1"], [status, JSON.parse(out)["kippen"]]
      assert_equal [2, "propose needs the gem highs, which isn't here\n"],
                   command("propose", "--fitting", DEMO, known: true).values_at(0, 2)
      assert_equal 2, command("propose", "--slots", "-", input: "{}", known: true)[0]
      assert_match(/--changes takes a number/, command("propose", "--fitting", DEMO, "--changes", "x", known: true)[2])
    end
  end
end
