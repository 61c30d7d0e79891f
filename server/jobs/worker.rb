# frozen_string_literal: true

# The worker: does the jobs, until it is told to stop. bin/start starts it, and again where it ended.
# Told to stop while it still loads, it must not lose that: some library may take the interruption for a fault of its own.
STOP_TOLD, STOP = IO.pipe
%w[INT TERM].each { |signal| trap(signal) { STOP.write_nonblock(".") } } if $PROGRAM_NAME == __FILE__

require_relative "../boot"
require_relative "jobs"

module Kippen
  module Server
    # Two processes: one for whatever is most urgent, one that takes only what is short, so that nobody with a short piece
    # waits for long ones. Two threads of one process would wait for each other at every step. A lost way to the
    # database ends it: whoever started it starts it again.
    class Worker
      # nil – whatever there is
      ANY = [nil].freeze
      SHORT = [Jobs::LongJob::LONG - 1].freeze
      # Work is looked for this often. Who is told of it could be the one that is busy, so nobody is.
      POLL_SECONDS = 0.25
      TOLD = "."

      # Does the jobs until +stop+ says so; yields then. Where nobody is left who could say it, it ends as it stands.
      def self.run(url, priorities, stop)
        Jobs.connect(Store.connect(url))
        Jobs.plan
        locker = Que::Locker.new(worker_priorities: priorities, poll_interval: POLL_SECONDS, maximum_buffer_size: 0,
                                 listen: false)
        exit!(1) unless stop.read(1)
        yield if block_given?
        locker.stop
        locker.wait_for_stop
      end

      # Both, in this process and one of its own, which ends with it, and it with that one.
      def self.start(url)
        told, tell = IO.pipe
        short = fork do
          %w[INT TERM].each { |signal| trap(signal, "IGNORE") }
          tell.close
          run(url, SHORT, told)
        end
        gone = Process.detach(short)
        Thread.new { gone.join && STOP.write(TOLD) }
        run(url, ANY, STOP_TOLD) { pass_on(tell) }
        gone.join
      end

      # Tells the other one to stop; one that is gone already needs no telling.
      def self.pass_on(tell)
        tell.write(TOLD)
      rescue Errno::EPIPE
        nil
      end
      private_class_method :pass_on
    end
  end
end

Kippen::Server::Worker.start(ENV.fetch("DATABASE_URL")) if $PROGRAM_NAME == __FILE__
