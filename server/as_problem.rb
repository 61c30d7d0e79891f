# frozen_string_literal: true

module Kippen
  module Server
    # What Puma refuses before a request is whole goes the way of its other faults (see Outermost.broken): its own words for a
    # body that is too long are plain text.
    module AsProblem
      # Of a request's body; more is refused before it is read.
      MOST_BYTES = 2_000_000
      # Of a file of trials, so that whatever comes out goes in again; who sends it is asked once it is there (see BodyLimit).
      MOST_TRIALS_BYTES = 8_000_000
      TRIALS = %r{\A/api/clients/[^/]+/trials\z}

      # Prepended to Puma::Client, which stays for all requests of a connection.
      module LongerTrials
        private

        def setup_body
          @usual_limit ||= @http_content_length_limit
          trials = env["REQUEST_METHOD"] == "POST" && env.key?("HTTP_COOKIE") && TRIALS.match?(env["REQUEST_PATH"])
          self.http_content_length_limit = trials ? MOST_TRIALS_BYTES : @usual_limit
          super
        end
      end

      private

      def response_to_error(client, requests, error, status)
        status, headers, body = lowlevel_error(error, client.env, status)
        prepare_response(status, headers, body, requests, client)
      end
    end
  end
end
