# frozen_string_literal: true

require "que"
require_relative "../store/age"

module Kippen
  module Server
    # Work that nobody waits for: done by the worker, a process of its own. What is to be done lies in
    # the database, so nothing of it is lost with a process.
    module Jobs
      # Takes away what is kept for a while only, every hour.
      class Prune < Que::Job
        EVERY_S = 3600

        def run
          Jobs.database.transaction do
            Store::Age.prune(Jobs.database)
            Prune.enqueue(job_options: { run_at: Time.now + EVERY_S })
            destroy
          end
        end
      end

      class << self
        attr_reader :database
      end

      # Which database the jobs lie in: those that are put in line, and those that are done.
      def self.connect(database)
        @database = database
        Que.connection = database
      end

      # Sees that what is done again and again is planned once.
      def self.plan
        planned = database[:que_jobs].where(job_class: Prune.name, finished_at: nil, expired_at: nil)
        database.transaction do
          database.get(Sequel.function(:pg_advisory_xact_lock, 4310))
          Prune.enqueue if planned.empty?
        end
      end
    end
  end
end
