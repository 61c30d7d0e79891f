# frozen_string_literal: true

require "stringio"

module Kippen
  module Server
    # Reads a request's body once, up to a limit, so that everything behind it may read it again: less of
    # whoever shows no session and no token. What is no JSON object that can be kept is refused here.
    class BodyLimit
      MOST_BYTES = Limits::FITTING_BYTES
      MOST_UNKNOWN_BYTES = 16_384
      # A fitting's file says itself, and at which place, what is wrong with it.
      FITTING = %w[POST /api/clients].freeze

      def initialize(app) = @app = app

      def call(env)
        most = known?(env) ? MOST_BYTES : MOST_UNKNOWN_BYTES
        return too_large(most) if Integer(env["CONTENT_LENGTH"] || "0", 10, exception: false).to_i > most

        input = env["rack.input"]
        body = input ? input.read(most + 1) || "" : ""
        return too_large(most) if body.bytesize > most

        env["rack.input"] = StringIO.new(body)
        refusal(env, body) || @app.call(env)
      end

      private

      def known?(env) = env["HTTP_COOKIE"].to_s.include?("#{SessionCookie::NAME}=") || env["HTTP_AUTHORIZATION"].to_s.start_with?("Bearer ")

      def refusal(env, body)
        return if body.empty? || [env["REQUEST_METHOD"], env["PATH_INFO"]] == FITTING

        Problem.response(400, "What is sent must be a JSON object") unless Formats::StrictJson.read(body, limit: MOST_BYTES).is_a?(Hash)
      rescue Invalid => e
        Problem.response(400, "What was sent #{e.faults.first.message}")
      end

      def too_large(most) = Problem.response(413, "A request may have #{most} bytes; nothing was changed.")
    end
  end
end
