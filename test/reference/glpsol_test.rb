# frozen_string_literal: true

require_relative "helper"
require_relative "../../core/highs_solver"
require_relative "../../core/test/proposals/random_table"
require "open3"
require "tempfile"

module Kippen
  # The same program comes to the same cost in GLPK (glpsol of Debian's glpk-utils, an independent solver), on tables that are too
  # large to try everything.
  class GlpsolTest < ReferenceTest
    TABLES = 40

    # Leaves nothing out: what Kippen leaves out must make no difference.
    Whole = Struct.new(:table) do
      def offers(button) = button.offers.each_index.to_a
      def buttons(*) = table.buttons.map(&:id)
    end

    # In the form of CPLEX LP, which glpsol reads.
    def text(program)
      names = program.columns.each_index.map { |index| "x#{index}" }
      sum = lambda { |entries|
        entries.map do |column, weight|
          "#{weight.negative? ? "-" : "+"} #{weight.abs} #{names[column]}"
        end.join("\n ")
      }
      rows = program.rows.each_with_index.flat_map do |row, index|
        # A sum of nothing, which an LP file can't say: one that must be more is a variable that can't be.
        next (row.low.positive? ? [" r#{index}: x0 >= 2"] : []) if row.weights.empty?
        next [" r#{index}: #{sum[row.weights]} = #{row.low}"] if row.low == row.high

        [" r#{index}: #{sum[row.weights]} <= #{row.high}"]
      end
      costs = program.columns.each_with_index.to_h { |one, index| [index, one.cost.to_f] }
      "Minimize\n cost: #{sum[costs]}\nSubject To\n#{rows.join("\n")}\nBinary\n #{names.join("\n ")}\nEnd\n"
    end

    def glpsol(program)
      Tempfile.create(["table", ".lp"]) do |file|
        file.write(text(program))
        file.flush
        Tempfile.create("out") do |out|
          said, ended = Open3.capture2e("glpsol", "--lp", file.path, "--output", out.path, "--tmlim", "60")
          assert ended.success?, said
          found = File.read(out.path)
          return nil if found.match?(/Status:\s+INTEGER (EMPTY|UNDEFINED)/)

          return Float(found[/Objective:\s+cost = (\S+)/, 1])
        end
      end
    end

    def test_tables_too_large_to_try
      impossible = 0
      TABLES.times do |seed|
        # Some with many more buttons than wants, so that something is left out.
        many = seed.even? ? 30 : 8 + (seed % 5)
        document = RandomTable.new(1000 + seed, wants: many == 30 ? 4 : 6 + (seed % 5), buttons: many,
                                                hosts: 1 + (seed % 3)).document
        table = Proposals::Table.read(document)
        most = [nil, 1, 3][seed % 3]
        program = Proposals::Program.new(table).limited(most)
        ours = HighsSolver.new.solve(program, seconds: 20)
        theirs = glpsol(Proposals::Program.new(table, narrow: Whole.new(table)).limited(most))
        next (impossible += 1) && assert_equal("impossible", ours.status, "seed #{seed}") unless theirs

        assert_in_epsilon theirs, ours.cost(program), 1e-6, "seed #{seed}"
      end
      assert_operator impossible, :<, TABLES / 2
    end
  end
end
