# frozen_string_literal: true

module Kippen
  module Server
    module Jobs
      # Fits a timing to trials.
      class FitTiming < LongJob
        # Few trials are done within seconds. edges – of all of them
        SHORT_EDGES = 2_000

        def self.work = Store::Fits.new(Jobs.database).work
        def self.line(id, edges:, before:) = put_in_line(id, short: edges <= SHORT_EDGES, before:)

        private

        def make(row, progress) = { result: Sequel.pg_jsonb(FitResult.of(row, progress)) }
        def takes_too_long = Words.say(:fit_takes_too_long)
      end
    end
  end
end
