# frozen_string_literal: true

require "stringio"

module Kippen
  module Server
    # Reads a request's body once, up to a limit, so that everything behind it may
    # read it again. Larger ones are refused before anything looks at them.
    class BodyLimit
      MOST_BYTES = Limits::FITTING_BYTES

      def initialize(app) = @app = app

      def call(env)
        return too_large if Integer(env["CONTENT_LENGTH"] || "0", 10, exception: false).to_i > MOST_BYTES

        input = env["rack.input"]
        body = input ? input.read(MOST_BYTES + 1) || "" : ""
        return too_large if body.bytesize > MOST_BYTES

        env["rack.input"] = StringIO.new(body)
        @app.call(env)
      end

      private

      def too_large = Problem.response(413, "A request may have #{MOST_BYTES} bytes; nothing was changed.")
    end
  end
end
