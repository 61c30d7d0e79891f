# frozen_string_literal: true

module Kippen
  module Server
    # What comes in by another way than loopback may join by code and send presses,
    # and nothing else: that way is not encrypted, no password belongs on it.
    class Outside
      LOOPBACK = %w[127.0.0.1 ::1].freeze
      OPEN = %r{\A/api/(joined(/|\z)|health\z)}

      def initialize(app) = @app = app

      def call(env)
        path = env["PATH_INFO"]
        return @app.call(env) if !path.start_with?("/api/") || OPEN.match?(path) || inside?(env["puma.socket"])

        Problem.response(403, Words.say(:only_join_from_here))
      end

      private

      def inside?(socket)
        return true unless socket.respond_to?(:local_address)

        LOOPBACK.include?(socket.local_address.ip_address)
      end
    end
  end
end
