# frozen_string_literal: true

require "tempfile"

module Kippen
  # Output held back until it is certain that all of it is wanted: in memory while it is
  # little, in a temporary file beyond that.
  class Spool
    MOST_IN_MEMORY = 1 << 20

    # Yields a Spool; what was written comes out on +output+ once the block has ended well.
    def self.open(output)
      spool = new
      yield spool
      spool.pour(output)
    ensure
      spool&.close
    end

    def initialize = @buffer = +""

    def line(text)
      @buffer << text << "\n"
      spill if @buffer.bytesize > MOST_IN_MEMORY
    end

    def pour(output)
      if @file
        spill
        @file.rewind
        IO.copy_stream(@file, output)
      else
        output.write(@buffer)
      end
    end

    def close = @file&.close!

    private

    def spill
      @file ||= Tempfile.new("kippen").tap(&:binmode)
      @file.write(@buffer)
      @buffer.clear
    end
  end
end
