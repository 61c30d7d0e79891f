# frozen_string_literal: true

require "rack/protection"

module Kippen
  module Server
    # A change must carry the token that the page was given with its session, so that a
    # page elsewhere can't make one with the session's cookie.
    class Csrf < Rack::Protection::AuthenticityToken
      # There a session counts for nothing, only the token got for a code; elsewhere a token is no pass for what comes
      # with somebody's session.
      JOINED = %r{\A/api/joined(/|\z)}
      WITHOUT_SESSION = lambda { |env|
        JOINED.match?(env["PATH_INFO"]) ||
          (env["HTTP_AUTHORIZATION"].to_s.start_with?("Bearer ") && env["rack.session"]["account_id"].nil?)
      }

      def self.of(session) = token(session)

      def deny(_env) = Problem.response(403, "The page is out of date; load it again")
      default_reaction :deny
    end
  end
end
