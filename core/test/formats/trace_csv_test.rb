# frozen_string_literal: true

require_relative "../helper"

module Kippen
  class TraceCsvTest < CoreTest
    HEADER = "t_us,source,kind,value\n"

    def read(text) = Formats::TraceCsv.new(StringIO.new(text)).map { |time, fields| [time, *fields] }

    # Text → rows read, without their numbers.
    READ = {
      "#{HEADER}0,remote/ok,down,\n5,remote/ok,up,\n" => [[0, "remote/ok", "down", ""], [5, "remote/ok", "up", ""]],
      "t_us,source,kind,value\r\n0,,end,\r\n" => [[0, "", "end", ""]],
      "#{HEADER}0,,end," => [[0, "", "end", ""]],
      HEADER => [],
      %("t_us","source","kind","value"\n"7","remote/ok","down",""\n) => [[7, "remote/ok", "down", ""]],
      %(#{HEADER}1,"a ""b"", c\nd",down,"") => [[1, "a \"b\", c\nd", "down", ""]],
      "#{HEADER}9007199254740992,,end,\n" => [[2**53, "", "end", ""]]
    }.freeze

    def test_reads
      READ.each { |text, rows| assert_equal rows, read(text), text.inspect }
    end

    # Text → the one fault.
    REFUSED = {
      "" => ["row 1", "the file is empty, its first row must be t_us,source,kind,value"],
      "0,remote/ok,down,\n" => ["row 1", 'the first row must be t_us,source,kind,value, is "0,remote/ok,down,"'],
      "\uFEFF#{HEADER}" => ["row 1", "begins with a byte order mark, which a trace must not have"],
      "#{HEADER}0,remote/ok,down\n" => ["row 2", "has 3 columns, must have 4"],
      "#{HEADER}\n" => ["row 2", "has 0 columns, must have 4"],
      "#{HEADER}0,a,down,,\n" => ["row 2", "has 5 columns, must have 4"],
      "#{HEADER}-1,a,down,\n" => ["row 2", 't_us must be a whole number from 0 to 9007199254740992, is "-1"'],
      "#{HEADER}1.5,a,down,\n" => ["row 2", 't_us must be a whole number from 0 to 9007199254740992, is "1.5"'],
      "#{HEADER}9007199254740993,,end,\n" => ["row 2",
                                              't_us must be a whole number from 0 to 9007199254740992, is "9007199254740993"'],
      "#{HEADER}5,a,down,\n4,a,up,\n" => ["row 3", "time runs backwards: 4 comes after 5"],
      "#{HEADER}1,\"a,down,\n" => ["row 2", "a quoted field is not closed"],
      "#{HEADER}1,a\"b\",down,\n" => ["row 2", "has a quote where none may be"],
      "#{HEADER}1,\xFF,down,\n" => ["row 2", "is not valid UTF-8"],
      "#{HEADER}#{"x" * 900}\n" => ["row 2", "is longer than 800 bytes"]
    }.freeze

    # What follows the time is remembered from row to row; the time never is.
    def test_rows_that_repeat
      rows = (0..9).map { |time| "#{time},remote/ok,#{time.even? ? "down" : "up"}," }
      assert_equal(rows, read("#{HEADER}#{rows.join("\n")}\n").map { |row| row.join(",") })
      { "1_0" => "1_0", " 30" => " 30", "+30" => "+30", "0x9" => "0x9" }.each do |time, shown|
        assert_equal([["row 4", "t_us must be a whole number from 0 to 9007199254740992, is #{shown.inspect}"]],
                     faults { read("#{HEADER}1,,end,\n2,,end,\n#{time},,end,\n") })
      end
      assert_equal [1, 7, 12], read("#{HEADER}1,,end,\n007,,end,\n0000000000000012,,end,\n").map(&:first)
    end

    def test_refuses
      REFUSED.each { |text, fault| assert_equal([fault], faults { read(text) }, text.inspect) }
    end
  end
end
