# frozen_string_literal: true

require_relative "../helper"

module Kippen
  # The rules of docs/press-engine.md, one case each, as tables under cases/: a fitting
  # (of the small remote where it names no devices), a trace, and every outcome in order.
  class CasesTest < CoreTest
    TABLES = Dir[File.join(__dir__, "cases", "*.json")].to_h do |file|
      [File.basename(file, ".json"), JSON.parse(File.read(file))]
    end
    COLUMNS = %w[t_us source kind value].freeze

    TABLES.each do |table, cases|
      cases.each do |item|
        define_method("test_#{table}: #{item["name"]}") do
          whole = item.merge("fitting" => document(item["fitting"]), "trace" => item["trace"].map { |row| COLUMNS.zip(row).to_h })
          status, output, errors = command("replay", "--cases", "-", input: JSON.generate([whole]))

          assert_equal [0, ""], [status, errors]
          assert_equal([{ "name" => item["name"], "outcomes" => item["outcomes"] }], output.lines.map { |line| JSON.parse(line) })
        end
      end
    end

    def test_no_table_has_lost_a_case
      assert_equal({ "counting" => 20, "filter" => 21, "gestures" => 19, "kinds" => 3, "modes" => 27, "places" => 8,
                     "timing" => 1 },
                   TABLES.transform_values(&:size))
    end
  end
end
