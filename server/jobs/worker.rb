# frozen_string_literal: true

# The worker: does the jobs, until it is told to stop. bin/start starts it, and again where it ended.
# Told to stop while it still loads, it must not lose that: some library may take the interruption for a fault of its own.
STOP_TOLD, STOP = IO.pipe
%w[INT TERM].each { |signal| trap(signal) { STOP.write_nonblock(".") } } if $PROGRAM_NAME == __FILE__

require_relative "../boot"
require_relative "jobs"

module Kippen
  module Server
    # A lost way to the database ends it: whoever started it starts it again.
    class Worker
      # One for whatever is most urgent; one that takes only what is short, so that nobody with few trials waits for many.
      URGENT = [nil, Jobs::FitTiming::LONG - 1].freeze
      POLL_SECONDS = 5.0

      def initialize(database)
        Jobs.connect(database)
      end

      # Returns when a signal came, after what is being done is done.
      def run
        Jobs.plan
        locker = Que::Locker.new(worker_priorities: URGENT, poll_interval: POLL_SECONDS, maximum_buffer_size: 1)
        STOP_TOLD.read(1)
        locker.stop
        locker.wait_for_stop
      end
    end
  end
end

Kippen::Server::Worker.new(Kippen::Server::Store.connect(ENV.fetch("DATABASE_URL"))).run if $PROGRAM_NAME == __FILE__
