# frozen_string_literal: true

require "stringio"

module Kippen
  module Server
    # Reads a request's body once, up to a limit, so that everything behind it may read it again: less of
    # whoever is not signed in. What is no JSON object that can be kept is refused here. Behind the session.
    class BodyLimit
      MOST_BYTES = Limits::FITTING_BYTES
      MOST_TRIALS_BYTES = AsProblem::MOST_TRIALS_BYTES
      # What a joined listener sends in one go, and what anybody may.
      MOST_JOINED_BYTES = 131_072
      MOST_UNKNOWN_BYTES = 16_384
      # A fitting's file says itself, and at which place, what is wrong with it.
      FITTING = %w[POST /api/clients].freeze

      def initialize(app) = @app = app

      def call(env)
        most = most(env)
        return too_large(most) if Integer(env["CONTENT_LENGTH"] || "0", 10, exception: false).to_i > most

        input = env["rack.input"]
        body = input ? input.read(most + 1) || "" : ""
        return too_large(most) if body.bytesize > most

        env["rack.input"] = StringIO.new(body)
        refusal(env, body, most) || @app.call(env)
      end

      private

      def most(env)
        return AsProblem.most(env["REQUEST_METHOD"], env["PATH_INFO"]) if env["rack.session"]["account_id"]

        env["HTTP_AUTHORIZATION"].to_s.start_with?("Bearer ") ? MOST_JOINED_BYTES : MOST_UNKNOWN_BYTES
      end

      def refusal(env, body, most)
        return if body.empty? || [env["REQUEST_METHOD"], env["PATH_INFO"]] == FITTING

        Problem.response(400, Words.say(:must_send_object)) unless Formats::StrictJson.read(body, limit: most).is_a?(Hash)
      rescue Invalid => e
        Problem.response(400, Words.say(:what_was_sent, fault: e.faults.first.message))
      end

      def too_large(most) = Problem.response(413, Words.say(:request_too_large, most:))
    end
  end
end
