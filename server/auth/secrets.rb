# frozen_string_literal: true

module Kippen
  module Server
    # Who tries passwords or codes is stopped after so many wrong ones: an address, and for the old password
    # the account whose session it is. Others are not hindered by it. Stands behind the session.
    class Secrets
      KINDS = { "#{SignIn::PATH}/sign-in" => "password", "#{SignIn::PATH}/password" => "old password",
                "/api/joined" => "code" }.freeze
      # What says that it was wrong; of an old password that stands among what can be put right.
      WRONG = [401, 403, 404].freeze
      OLD = "/password"

      def initialize(app, database)
        @app = app
        @tries = Store::Tries.new(database)
      end

      def call(env)
        kind = env["REQUEST_METHOD"] == "POST" && KINDS[env["PATH_INFO"]]
        return @app.call(env) unless kind

        who = kind == "old password" ? "account #{env["rack.session"]["account_id"]}" : Address.of(env)
        return too_many(kind) if @tries.enough?(kind, who)

        answer = @app.call(env)
        @tries.wrong(kind, who) if kind == "old password" ? wrong_old?(answer) : WRONG.include?(answer[0])
        answer
      end

      private

      def wrong_old?((status, _, body))
        return false unless (400..499).cover?(status)

        parts = body.to_enum(:each).to_a
        JSON.parse(parts.join).fetch("faults", []).any? { |fault| fault["where"] == OLD }
      end

      def too_many(kind) = Problem.response(429, Words.say(:too_many_tries, count: Store::Tries.minutes(kind)))
    end
  end
end
