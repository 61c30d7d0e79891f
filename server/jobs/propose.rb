# frozen_string_literal: true

require_relative "../../core/highs_solver"

module Kippen
  module Server
    module Jobs
      # Works out what would help a client most.
      class Propose < LongJob
        def self.work = Store::Proposals.new(Jobs.database).work
        def self.line(id, before:) = put_in_line(id, short: false, before:)

        private

        def make(row, progress) = { result: Sequel.pg_jsonb(ProposalResult.new(Jobs.database, row, progress).to_h) }
        def takes_too_long = Words.say(:proposal_takes_too_long)
      end
    end
  end
end
