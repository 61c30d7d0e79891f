# frozen_string_literal: true

require_relative "helper"
require "open3"
require "tempfile"

module Kippen
  # A trace is read by R (Debian's r-base-core), which comes to the same lengths and gaps as the core does.
  class CsvInRTest < ReferenceTest
    SCRIPT = <<~R
      d <- read.csv(commandArgs(TRUE)[1], colClasses = c("numeric", "character", "character", "character"))
      stopifnot(identical(names(d), c("t_us", "source", "kind", "value")))
      down <- d$t_us[d$kind == "down"]; up <- d$t_us[d$kind == "up"]
      cat(up - down, "\\n"); cat(head(c(down[-1], NA) - up, -1), "\\n")
    R
    PRESSES = [[0, 120_000], [400_001, 455_001], [2_000_000, 2_812_345]].freeze

    def test_lengths_and_gaps
      rows = PRESSES.flat_map { |from, to| [[from, "d/b", "down", ""], [to, "d/b", "up", ""]] }
      text = [Formats::TraceCsv::HEADER, *rows].map { |row| row.join(",") }.join("\n")
      read = Formats::TraceCsv.new(StringIO.new("#{text}\n")).to_a
      assert_equal rows.map(&:first), read.map(&:first)
      said = Tempfile.create(["trace", ".csv"]) do |file|
        file.write("#{text}\n")
        file.flush
        out, ended = Open3.capture2e("Rscript", "--vanilla", "-e", SCRIPT, file.path)
        assert ended.success?, out
        out.lines.map { |line| line.split.map(&:to_i) }
      end
      assert_equal [PRESSES.map { |from, to| to - from }, PRESSES.each_cons(2).map { |one, other| other[0] - one[1] }], said
    end
  end
end
