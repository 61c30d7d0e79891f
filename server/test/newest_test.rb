# frozen_string_literal: true

require_relative "helper"

module Kippen
  # What is kept of what was read, and which of several questions is worked on.
  class NewestTest < Minitest::Test
    def test_only_the_newest_of_a_key_is_not_outdone
      newest = Server::Newest.new
      newest.take("a") do |first|
        refute first.call
        newest.take("b") { refute first.call }
        newest.take("a") do |second|
          assert first.call
          refute second.call
        end
        assert first.call, "it stays outdone"
      end
      newest.take("a") { |again| refute again.call }
    end

    def fitting(name, bytes) = Fitting.read("kippen" => "fitting/1", "client" => { "name" => name }, "padding" => "x" * bytes)

    def test_what_was_read_is_kept_up_to_a_size_in_all
      read = Server::Store::Revisions::Read.new
      6.times { |index| read.keep("a", index, fitting("F", 1_600_000)) }
      assert_equal [nil, nil, nil, true, true, true], Array.new(6) { |index| read.find("a", index) && true }
      read.keep("b", 1, fitting("Large", 20_000_000))
      assert read.find("b", 1), "the newest stays"
      assert_nil read.find("a", 5)
      read.keep("b", 1, fitting("Small", 10))
      6.times { |index| read.keep("c", index, fitting("F", 1_000)) }
      read.forget("c")
      assert_equal [true, nil], [read.find("b", 1) && true, read.find("c", 1)]
    end
  end
end
