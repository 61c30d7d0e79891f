# frozen_string_literal: true

module Kippen
  module Server
    module Jobs
      # Does a piece of long work, told how far it has come; where the worker dies meanwhile, another begins it anew.
      # What is done by it says: .work – the Store::LongWork that it lies in; #make – what came of it, as members of its
      # row; #takes_too_long – in words.
      class LongJob < Que::Job
        # Told this often at most.
        EVERY_S = 0.25
        # So much work of a core at most.
        MOST_S = 300
        # What is done within seconds goes before other work, and has a process of its own in the worker.
        SHORT = 10
        LONG = 1_000
        # What a service has in line already makes it wait: others' come between.
        TURN = 10
        LAST = 30_000

        # How urgent a piece is, the less the more. in_line – how many of its service's wait or are worked on already
        def self.priority(short, in_line) = [(short ? SHORT : LONG) + (TURN * in_line), LAST].min

        def self.put_in_line(id, short:, before:) = enqueue(id, job_options: { priority: priority(short, before) })

        def run(id)
          @work = self.class.work
          @row = @work.take(id)
          @row ? finish_it : over(id)
          destroy
        end

        private

        # There is nothing to do about it any more: others may have waited for it.
        def over(_id) = nil

        # What goes wrong with what it is made of goes wrong again: it is told, and not tried again.
        def finish_it
          @work.finish(@row, "done", **make(@row, progress))
        rescue Deadline::Passed
          @work.finish(@row, "failed", error: takes_too_long)
        rescue Store::LongWork::Stopped
          @work.finish(@row, "given_up")
        rescue Sequel::Error
          raise
        rescue StandardError => e
          Problem.log(e)
          @work.finish(@row, "failed", error: Words.say(:not_worked_out))
        end

        def progress
          deadline = Server.deadline(MOST_S)
          Progress.new do |done, of|
            deadline.check
            tell(done, of)
          end
        end

        def tell(done, of)
          now = Process.clock_gettime(Process::CLOCK_MONOTONIC)
          return if @told && now - @told < EVERY_S

          @told = now
          @work.progress(@row, done, of)
        end
      end
    end
  end
end
