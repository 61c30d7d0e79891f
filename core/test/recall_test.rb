# frozen_string_literal: true

require_relative "helper"
require "open3"
require "rbconfig"

module Kippen
  # What is worked out once for a fitting may be asked for by many threads at once. In a process of its own: where this
  # goes wrong, Ruby itself ends.
  class RecallTest < CoreTest
    RACE = <<~'RUBY'
      document = { "kippen" => "fitting/1" }
      200.times do
        fitting = Kippen::Fitting.read(document)
        threads = Array.new(8) do
          Thread.new do
            60.times do |index|
              fitting.recall([:a, "host #{index % 14}", Struct.new(:place).new(index % 14)]) { index }
              fitting.recall([:b, index % 12, "x"]) { Thread.pass || index }
            end
          end
        end
        threads.each(&:join)
      end
      puts "all of them came back"
    RUBY

    def test_many_threads_at_once
      said, status = Open3.capture2e(RbConfig.ruby, "-r", File.expand_path("../lib/kippen", __dir__), "-e", RACE)
      assert_equal [true, "all of them came back"], [status.success?, said.strip], said.slice(0, 400)
    end

    def test_whoever_is_slower_takes_what_was_there_first
      fitting = fitting()
      assert_equal([1, 1, 1], [fitting.recall(:x) { fitting.recall(:x) { 1 } && 2 }, fitting.recall(:x) { 3 },
                               fitting.recall(:x) { 4 }])
      assert_nil fitting.recall(:nothing) { nil }
      assert_nil(fitting.recall(:nothing) { flunk })
    end
  end
end
