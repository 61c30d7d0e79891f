# frozen_string_literal: true

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

        { key: NAME, secrets: [OpenSSL::HMAC.digest("SHA512", secret, "session cookie")], serialize_json: true, same_site: :lax, httponly: true }
      end

      def initialize(app) = @app = app

      def call(env)
        env["rack.session.options"][:secure] = Rack::Request.new(env).ssl?
        @app.call(env)
      end
    end
  end
end
