# frozen_string_literal: true

module Kippen
  module Server
    # One connection to the database for all that a request asks, so that it isn't fetched and handed
    # back between two questions. One that broke on the way is dropped.
    class OneConnection
      LOST = [Sequel::DatabaseConnectionError, Sequel::DatabaseDisconnectError].freeze

      def initialize(app, database)
        @app = app
        @database = database
      end

      # Where it never came to a connection, nothing can have been saved.
      def call(env)
        had = false
        @database.synchronize do
          had = true
          @app.call(env)
        end
      rescue *LOST
        return Problem.response(503, Words.say(:nothing_changed_again)) unless had && Problem.may_have_saved?(env)

        Problem.response(503, Words.say(:database_lost),
                         saved: "unknown")
      end
    end
  end
end
