# frozen_string_literal: true

module Kippen
  module Server
    # What Puma refuses before a request is whole goes the way of its other faults (see Outermost.broken): its own words for a
    # body that is too long are plain text.
    module AsProblem
      # Of a request's body; more is refused before it is read.
      MOST_BYTES = 2_000_000
      # Of files that are longer, so that whatever comes out goes in again; who sends one is asked once it is there (see
      # BodyLimit). A client's whole file has its history, a recording every edge.
      MOST_TRIALS_BYTES = 8_000_000
      MOST_WHOLE_BYTES = 32_000_000
      LONGER = { %r{\A/api/clients/[^/]+/(?:trials|recordings)\z} => MOST_TRIALS_BYTES,
                 %r{\A/api/(?:whole-clients|clients/[^/]+/whole)\z} => MOST_WHOLE_BYTES }.freeze

      # How long a request's body may be, for whoever is signed in.
      def self.most(method, path)
        return MOST_BYTES unless method == "POST"

        LONGER.find { |paths, _| paths.match?(path) }&.last || MOST_BYTES
      end

      # Prepended to Puma::Client, which stays for all requests of a connection.
      module LongerFiles
        private

        def setup_body
          @usual_limit ||= @http_content_length_limit
          most = env.key?("HTTP_COOKIE") ? AsProblem.most(env["REQUEST_METHOD"], env["REQUEST_PATH"].to_s) : MOST_BYTES
          self.http_content_length_limit = most == MOST_BYTES ? @usual_limit : most
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
