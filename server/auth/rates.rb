# frozen_string_literal: true

require "rack/attack"

module Kippen
  module Server
    # How often anybody may ask. Counted in this process: where several share the work,
    # each counts for itself.
    module Rates
      # What one address may ask in a minute, all told: a bench in full use sends a few a second.
      ALL = 12_000
      # Trying passwords and codes, right or wrong; wrong ones are counted in the database besides, see Secrets.
      SECRETS = 30
      MINUTE = 60
      SECRET_PATHS = ["/api/session/sign-in", "/api/session/password", "/api/joined"].freeze

      # The counters rack-attack asks for.
      class Counters
        MOST = 50_000

        def initialize
          @counts = {}
          @lock = Mutex.new
        end

        # Adds to a counter that is gone after expires_in seconds; returns what it stands at.
        def increment(key, amount, expires_in:)
          now = Process.clock_gettime(Process::CLOCK_MONOTONIC)
          @lock.synchronize do
            sweep(now) if @counts.size >= MOST
            count, ends = @counts[key]
            unless ends && ends > now
              count = 0
              ends = now + expires_in
            end
            @counts[key] = [count + amount, ends]
            count + amount
          end
        end

        def clear = @lock.synchronize { @counts.clear }

        private

        def sweep(now)
          @counts.delete_if { |_, (_, ends)| ends <= now }
          @counts.clear if @counts.size >= MOST
        end
      end

      COUNTERS = Counters.new

      Rack::Attack.cache.store = COUNTERS
      Rack::Attack.throttle("all", limit: ALL, period: MINUTE) { |request| Address.of(request.env) }
      Rack::Attack.throttle("secrets", limit: SECRETS, period: MINUTE) do |request|
        Address.of(request.env) if request.post? && SECRET_PATHS.include?(request.path)
      end
      Rack::Attack.throttled_responder = lambda do |request|
        left = MINUTE - (Time.now.to_i % MINUTE)
        status, headers, body = Problem.response(429, Words.say(:too_many_requests, left:))
        [status, headers.merge("retry-after" => (request.env["rack.attack.match_data"] || {}).fetch(:period, left).to_s), body]
      end
    end
  end
end
