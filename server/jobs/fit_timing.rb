# frozen_string_literal: true

module Kippen
  module Server
    module Jobs
      # Fits a timing to trials, told how far it has come; where the worker dies meanwhile, another begins it anew.
      class FitTiming < Que::Job
        # Told this often at most.
        EVERY_S = 0.25

        def run(id)
          fits = Store::Fits.new(Jobs.database)
          row = fits.take(id)
          fit(fits, row) if row
          destroy
        end

        private

        # What goes wrong with the trials goes wrong again: it is told, and not tried again.
        def fit(fits, row)
          result = FitResult.of(row, Tuning::Watch.new { |done, of| tell(fits, row, done, of) })
          fits.finish(row, "done", result:)
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
