# frozen_string_literal: true

module Kippen
  module Server
    module Jobs
      # Fits a timing to trials, told how far it has come; where the worker dies meanwhile, another begins it anew.
      class FitTiming < Que::Job
        # Told this often at most.
        EVERY_S = 0.25
        # So much work of a core at most: ten times what a thousand trials take.
        MOST_S = 300
        # Few trials are done within seconds. They go before others, and have a thread of their own in the worker.
        SHORT_EDGES = 2_000
        SHORT = 10
        LONG = 1_000
        # What a service has in line already makes it wait: others' come between.
        TURN = 10
        LAST = 30_000

        # How urgent a fit is, the less the more. edges – of all its trials; in_line – how many of its service's are
        def self.priority(edges, in_line) = [(edges <= SHORT_EDGES ? SHORT : LONG) + (TURN * in_line), LAST].min

        # edges – of all its trials; before – how many wait or are worked on already
        def self.put_in_line(id, edges, before) = enqueue(id, job_options: { priority: priority(edges, before) })

        def run(id)
          fits = Store::Fits.new(Jobs.database)
          row = fits.take(id)
          fit(fits, row) if row
          destroy
        end

        private

        # What goes wrong with the trials goes wrong again: it is told, and not tried again.
        def fit(fits, row)
          deadline = Server.deadline(MOST_S)
          result = FitResult.of(row, Tuning::Watch.new do |done, of|
            deadline.check
            tell(fits, row, done, of)
          end)
          fits.finish(row, "done", result:)
        rescue Deadline::Passed
          fits.finish(row, "failed", error: Words.say(:fit_takes_too_long))
        rescue Store::Fits::Stopped
          fits.finish(row, "given_up")
        rescue Sequel::Error
          raise
        rescue StandardError => e
          Problem.log(e)
          fits.finish(row, "failed", error: "It could not be worked out.")
        end

        def tell(fits, row, done, of)
          now = Process.clock_gettime(Process::CLOCK_MONOTONIC)
          return if @told && now - @told < EVERY_S

          @told = now
          fits.progress(row, done, of)
        end
      end
    end
  end
end
