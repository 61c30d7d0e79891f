# frozen_string_literal: true

require "digest"
require "securerandom"

module Kippen
  module Server
    module Store
      # Codes by which a client's own device joins as a listener: one code, one client, one
      # host, one device; it lapses unused, and can be ended at any time.
      class Joins
        # Without letters and digits that are taken for each other.
        LETTERS = "ABCDEFGHJKLMNPQRSTUVWXYZ23456789"
        LENGTH = 6
        CODE_SECONDS = 15 * 60
        # For a list by hand: it is passed on, and done later.
        LIST_SECONDS = 24 * 3600
        JOINED_SECONDS = 8 * 3600
        # Of one client: codes that wait to be used, and devices that have joined.
        MOST_OPEN = 5
        MOST_JOINED = 10
        SHOWN = %i[id client_id host lists code created_at expires_at joined_at ended_at].freeze

        # A code that leads nowhere (any more).
        class Wrong < Kippen::Error; end

        # As many as there may be at once are there.
        class TooMany < Kippen::Error; end

        def initialize(database) = @database = database

        # lists – id of the device whose list by hand it opens, and nothing else; nil: a listener. Raises TooMany.
        def add(client, host, account, lists: nil)
          open, joined = current(client).partition { |row| row[:joined_at].nil? }.map(&:size)
          raise TooMany, Words.say(:codes_wait, most: MOST_OPEN) if open >= MOST_OPEN
          raise TooMany, Words.say(:devices_joined, most: MOST_JOINED) if joined >= MOST_JOINED

          @database[:joins].returning(*SHOWN).insert(client_id: client, host:, lists:, account_id: account, code: free_code,
                                                     expires_at: from_now(lists ? LIST_SECONDS : CODE_SECONDS)).first
        end

        # Those that are waited for or joined, newest first; with the listener that joined.
        def current(client)
          current = @database[:joins].where(Sequel[:joins][:client_id] => client,
                                            ended_at: nil).where { expires_at > Sequel::CURRENT_TIMESTAMP }
          current.left_join(:listeners, join_id: Sequel[:joins][:id]).reverse(Sequel[:joins][:created_at])
            .select(*SHOWN.map { |column| Sequel[:joins][column] }, Sequel[:listeners][:id].as(:listener),
                    Sequel.function(:coalesce, Sequel[:listeners][:name], Sequel[:joins][:who]).as(:name)).all
        end

        # Takes a code; returns [token, join]. name – what the joining browser calls itself.
        # Raises Wrong.
        def join(code, name)
          token = SecureRandom.urlsafe_base64(32)
          Store.transaction(@database) do
            join = waiting(code).returning(*SHOWN)
              .with_sql(:update_sql, joined_at: Sequel::CURRENT_TIMESTAMP, expires_at: from_now(JOINED_SECONDS),
                                     token_digest: Joins.digest(token)).first
            raise Wrong, Words.say(:code_unknown) unless join

            @database[:listeners].insert(client_id: join[:client_id], name:, join_id: join[:id]) unless join[:lists]
            @database[:joins].where(id: join[:id]).update(who: name) if join[:lists]
            [token, join]
          end
        end

        # The join and its listener of whoever shows this token, or nil.
        def by_token(token)
          known = @database[:joins].where(token_digest: Joins.digest(token), ended_at: nil)
            .where { expires_at > Sequel::CURRENT_TIMESTAMP }
          known.left_join(:listeners, join_id: Sequel[:joins][:id])
            .select(Sequel[:joins][:id], Sequel[:joins][:client_id], :host, :lists, :who,
                    Sequel[:listeners][:id].as(:listener)).first
        end

        def end(id)
          @database[:joins].where(id: Store.uuid(id, "join"), ended_at: nil).update(ended_at: Sequel::CURRENT_TIMESTAMP)
        end

        def self.digest(token) = Digest::SHA256.hexdigest(token)

        private

        def waiting(code)
          @database[:joins].where(code: code.upcase.delete("^A-Z0-9"), joined_at: nil,
                                  ended_at: nil).where { expires_at > Sequel::CURRENT_TIMESTAMP }
        end

        def free_code
          code = Array.new(LENGTH) { LETTERS[SecureRandom.random_number(LETTERS.length)] }.join
          @database[:joins].where(code:, joined_at: nil, ended_at: nil).empty? ? code : free_code
        end

        def from_now(seconds) = Sequel::CURRENT_TIMESTAMP + Sequel.lit("interval '#{seconds} seconds'")
      end
    end
  end
end
