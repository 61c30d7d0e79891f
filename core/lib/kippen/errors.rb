# frozen_string_literal: true

module Kippen
  # Root of everything the core raises on purpose.
  class Error < StandardError; end

  # One thing wrong with what was given.
  # where   – JSON pointer ("/timing/tap_gap_ms"), row ("row 12") or "file"
  # message – what is wrong and what is allowed, one line
  Fault = Struct.new(:where, :message) do
    def initialize(where, message)
      super(where.empty? ? "/" : where, message)
      freeze
    end

    def to_s = "#{where}: #{message}"
  end

  # Something given from outside is refused as a whole; +faults+ has every reason.
  class Invalid < Error
    attr_reader :faults

    def initialize(faults)
      @faults = faults.freeze
      super(faults.join("\n"))
    end

    def self.at(where, message) = new([Fault.new(where, message)])
  end

  # Collects faults while something is read, so that all are told together.
  class Faults
    MOST = 100

    def initialize = @list = []

    def add(where, message)
      @list << Fault.new(where, message) if @list.size < MOST
      nil
    end

    def any? = @list.any?
    def to_a = @list.dup

    # Raises Invalid if anything was wrong.
    def raise_any = @list.empty? || raise(Invalid, @list)

    # How a wrong value is shown in a message: short, on one line, printable.
    def self.show(value)
      text = value.inspect.encode("UTF-8", invalid: :replace, undef: :replace)
      text.length > 60 ? "#{text[0, 57]}…" : text
    end
  end
end
