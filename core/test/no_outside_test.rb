# frozen_string_literal: true

require_relative "helper"

module Kippen
  # The core has no clock, no files, no environment and no chance of its own: what it needs of them is given.
  class NoOutsideTest < CoreTest
    OUTSIDE = /\b(?:File|Dir|IO|Tempfile|Pathname|ENV|SecureRandom|Socket|Open3)\b|
               \bTime\.now|\bProcess\.|(?<![\w.])(?:sleep|rand|srand|spawn)[\ (]/x
    # The command holds back its own output.
    COMMAND = %w[spool.rb].freeze
    CODE = Dir[File.expand_path("../lib/**/*.rb", __dir__)].reject { |file| COMMAND.include?(File.basename(file)) }

    def test_nothing_of_the_outside_is_asked
      assert_operator CODE.size, :>, 200
      CODE.each do |file|
        lines = File.readlines(file, encoding: "UTF-8").map { |line| line.sub(/#(?!\{).*/, "").gsub(/"(?:[^"\\]|\\.)*"/, "") }
        met = lines.grep(OUTSIDE)
        assert_empty met, file
      end
    end
  end
end
