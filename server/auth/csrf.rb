# frozen_string_literal: true

require "rack/protection"

module Kippen
  module Server
    # A change must carry the token that the page was given with its session, so that a
    # page elsewhere can't make one with the session's cookie.
    class Csrf < Rack::Protection::AuthenticityToken
      # Who shows a token of their own needs no session, and so none of its tokens.
      WITHOUT_SESSION = ->(env) { env["HTTP_AUTHORIZATION"].to_s.start_with?("Bearer ") || env["PATH_INFO"] == "/api/joined" }

      def self.of(session) = token(session)

      def deny(_env) = Problem.response(403, "The page is out of date; load it again")
      default_reaction :deny
    end
  end
end
