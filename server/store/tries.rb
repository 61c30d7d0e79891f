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
          rows(kind, who).where(Sequel[:at] > ago(seconds)).limit(most).count >= most
        end

        def wrong(kind, who) = @database[:tries].insert(kind:, who: who.slice(0, 100))

        # An address of mail that has no account is locked as one that has: after so many wrong tries, for a while.
        def locked?(login, most:, minutes:)
          before = rows("login", Tries.digest(login))
          count = before.count
          count.positive? && (count % most).zero? && before.where(Sequel[:at] > ago(minutes * 60)).any?
        end

        def tried(login) = wrong("login", Tries.digest(login))

        # Whom somebody tried to be is nobody's to read.
        def self.digest(login) = Digest::SHA256.hexdigest(login)

        # Minutes, at the most, until it can be tried again.
        def self.minutes(kind) = LIMITS.fetch(kind)[1] / 60

        private

        def ago(seconds) = Sequel.date_sub(Sequel::CURRENT_TIMESTAMP, seconds:)

        def rows(kind, who) = @database[:tries].where(kind:, who: who.slice(0, 100))
      end
    end
  end
end
