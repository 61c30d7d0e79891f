# frozen_string_literal: true

require_relative "helper"
require "puma"
require "puma/log_writer"
require_relative "../seldom"

module Kippen
  # What goes wrong again and again does not fill the log.
  class SeldomTest < Minitest::Test
    def test_the_same_is_told_once_a_minute_and_something_else_besides
      told = StringIO.new
      writer = Class.new(Puma::LogWriter) { prepend Server::Seldom }.new(StringIO.new, told)
      20.times { writer.unknown_error(IOError.new("closed"), nil, "Listen loop") }
      writer.unknown_error(EOFError.new("ended"), nil, "Listen loop")
      assert_equal(%w[IOError EOFError], told.string.scan(/IOError|EOFError/))
    end

    def test_a_minute_later_it_is_told_again
      assert_equal([true, false, true], [0, 59.9, 60].map { |at| Server::Seldom.due?(:of_this_test, at) })
    end
  end
end
