# frozen_string_literal: true

require "tempfile"

module Kippen
  module Server
    # A long answer, written aside before it is sent: it takes no memory, however long it is, and the database
    # is done with it, however slowly it is read. The file has no name: it is gone with the process, however that ends.
    class Spooled
      PIECE_BYTES = 65_536

      # pieces – an Enumerator of text
      def initialize(pieces)
        @file = Tempfile.create("kippen-answer")
        File.unlink(@file.path)
        pieces.each { |piece| @file.write(piece) }
        @file.flush
      end

      def each
        @file.rewind
        while (piece = @file.read(PIECE_BYTES))
          yield piece
        end
      end

      def close = @file.close
    end
  end
end
