# frozen_string_literal: true

module Kippen
  module Server
    # Of what somebody asks again and again only the newest is worked on. Counted in this process.
    class Newest
      def initialize
        @turns = {}
        @lock = Mutex.new
      end

      # Yields whether something newer by the same key has come, as a callable.
      def take(key)
        turn = Object.new
        @lock.synchronize { @turns[key] = turn }
        yield -> { !@turns[key].equal?(turn) }
      ensure
        @lock.synchronize { @turns.delete(key) if @turns[key].equal?(turn) }
      end
    end
  end
end
