# frozen_string_literal: true

module Kippen
  # What is asked of the clock, and how times are told.
  module Server
    # Times as they are told.
    module Times
      # In ISO 8601, UTC, to the millisecond.
      def self.iso(time) = time.utc.strftime("%Y-%m-%dT%H:%M:%S.%LZ")
    end

    # So many seconds of work of the thread that asks.
    OWN_WORK = -> { Process.clock_gettime(Process::CLOCK_THREAD_CPUTIME_ID) }

    # A Deadline of so many seconds of work; the block – does nobody wait for it any more?
    def self.deadline(seconds, &) = Deadline.new(seconds, clock: OWN_WORK, &)
  end
end
