# frozen_string_literal: true

require "json"
require "openssl"
require "rack/session"

module Kippen
  module Server
    # The session's cookie: encrypted, out of reach of scripts, not sent along from other
    # sites, and only over https where the page came by https.
    class SessionCookie
      NAME = "kippen.session"

      # secret – of the installation; the cookie's key is derived from it
      def self.options(secret)
        raise ArgumentError, "the secret must have 64 characters or more" if secret.length < 64

        { key: NAME, secrets: [OpenSSL::HMAC.digest("SHA512", secret, "session cookie")], serialize_json: true, same_site: :lax,
          httponly: true }
      end

      def initialize(app) = @app = app

      # Only what has changed is sent: an answer that comes late, to what was asked before somebody signed in, must not
      # put the session of then in the place of theirs.
      def call(env)
        session, options = env.values_at("rack.session", "rack.session.options")
        options[:secure] = Rack::Request.new(env).ssl?
        before = JSON.generate(session.to_h)
        answer = @app.call(env)
        changed = JSON.generate(session.to_h) != before
        # The token goes along with a session from its beginning: made later, by two at once, one would be lost.
        changed ? Csrf.of(session) : options[:skip] = true
        answer
      end
    end
  end
end
