# frozen_string_literal: true

module Kippen
  module Server
    module Store
      # Wrong passwords and codes, by who tried: kept in the database, so that all processes count together.
      class Tries
        # kind => most wrong tries of one in so many seconds
        LIMITS = { "password" => [40, 600], "code" => [20, 600], "old password" => [8, 900] }.freeze

        def initialize(database) = @database = database

        # Has somebody had enough? who – an address or an account
        def enough?(kind, who)
          most, seconds = LIMITS.fetch(kind)
          rows(kind, who).where { at > Sequel::CURRENT_TIMESTAMP - Sequel.lit("interval '#{seconds} seconds'") }.limit(most).count >= most
        end

        def wrong(kind, who) = @database[:tries].insert(kind:, who: who.slice(0, 100))

        # Minutes, at the most, until it can be tried again.
        def self.minutes(kind) = LIMITS.fetch(kind)[1] / 60

        private

        def rows(kind, who) = @database[:tries].where(kind:, who: who.slice(0, 100))
      end
    end
  end
end
