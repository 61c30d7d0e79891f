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

      def call(env)
        @database.synchronize { @app.call(env) }
      rescue *LOST
        Problem.response(503, "Nothing was changed; try again in a moment")
      end
    end
  end
end
