# frozen_string_literal: true

module Kippen
  module Server
    # Stands before everything else: answers what can't be understood, adds what every answer carries,
    # and lets out no fault of Kippen's own but as a problem.
    class Outermost
      METHODS = %w[GET HEAD POST PUT PATCH DELETE].freeze
      WITH_BODY = %w[POST PUT PATCH].freeze
      JSON_TYPE = %r{\Aapplication/json\s*(;|\z)}i
      HEADERS = {
        "x-content-type-options" => "nosniff", "referrer-policy" => "same-origin", "x-frame-options" => "DENY",
        "cross-origin-opener-policy" => "same-origin", "cross-origin-resource-policy" => "same-origin",
        "content-security-policy" => "default-src 'none'; frame-ancestors 'none'"
      }.freeze

      # While the disk is nearly full.
      LOW = { "x-kippen-room" => "low" }.freeze
      # One must be able to sign in, to read; a look at what a change would do saves nothing.
      ALWAYS = %r{\A/api/session|/previews\z}

      # So many may wait for a thread of this process; whoever comes then is told at once.
      MOST_WAITING = 200

      # What is told of a request that never came to be one, by the status Puma gives it.
      BROKEN = { 400 => :cant_be_read, 413 => :request_too_large_at_all }.freeze

      # no_room – a file that is there while the disk is nearly full, see bin/start; or nil
      def initialize(app, no_room: ENV.fetch("KIPPEN_NO_ROOM", nil))
        @app = app
        @no_room = no_room
      end

      def call(env)
        carrying(refusal(env) || @app.call(env))
      rescue StandardError => e
        Problem.log(e)
        carrying(Problem.of_our_own(env))
      end

      # What goes wrong before a request is whole, for Puma: status – as it thinks
      def self.broken(error, _env, status = 500)
        words = BROKEN[status == 501 ? 400 : status]
        Problem.log(error) unless words
        code, headers, body = if words
                                Problem.response(status == 501 ? 400 : status,
                                                 Words.say(words, most: AsProblem::MOST_BYTES))
                              else
                                Problem.response(500, Words.say(:in_the_log))
                              end
        [code, HEADERS.merge(headers), body]
      end

      private

      def carrying((status, headers, body)) = [status, HEADERS.merge(headers, low? ? LOW : {}), body]

      def low? = @no_room && File.exist?(@no_room)

      def refusal(env)
        method = env["REQUEST_METHOD"]
        return allowed unless METHODS.include?(method)
        return Problem.response(503, Words.say(:too_many_at_once)) if waiting > MOST_WAITING
        return no_room if low? && Problem.may_have_saved?(env) && !ALWAYS.match?(env["PATH_INFO"])
        unless readable?(env["PATH_INFO"]) && query?(env["QUERY_STRING"].to_s)
          return Problem.response(400, Words.say(:address_unreadable))
        end

        Problem.response(415, Words.say(:must_send_json)) if WITH_BODY.include?(method) && body?(env) && !json?(env)
      end

      def waiting = (defined?(Puma::Server) && Puma::Server.current&.backlog) || 0

      def no_room
        Problem.response(507, Words.say(:disk_nearly_full))
      end

      def allowed
        status, headers, body = Problem.response(405, Words.say(:method_one_of, methods: METHODS.join(", ")))
        [status, headers.merge("allow" => METHODS.join(", ")), body]
      end

      def json?(env) = JSON_TYPE.match?(env["CONTENT_TYPE"].to_s)
      def body?(env) = env["CONTENT_LENGTH"].to_i.positive? || env.key?("HTTP_TRANSFER_ENCODING")

      def readable?(text)
        plain = URI.decode_www_form_component(text)
        plain.valid_encoding? && !plain.include?("\0")
      rescue ArgumentError
        false
      end

      def query?(text)
        readable?(text) && Rack::Utils.parse_nested_query(text)
      rescue Rack::QueryParser::QueryLimitError, Rack::QueryParser::ParameterTypeError, Rack::QueryParser::InvalidParameterError
        false
      end
    end
  end
end
