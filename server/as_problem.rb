# frozen_string_literal: true

module Kippen
  module Server
    # What Puma refuses before a request is whole goes the way of its other faults (see Outermost.broken): its own words for a
    # body that is too long are plain text.
    module AsProblem
      # Of a request's body; more is refused before it is read.
      MOST_BYTES = 2_000_000

      private

      def response_to_error(client, requests, error, status)
        status, headers, body = lowlevel_error(error, client.env, status)
        prepare_response(status, headers, body, requests, client)
      end
    end
  end
end
