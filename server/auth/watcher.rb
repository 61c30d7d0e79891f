# frozen_string_literal: true

module Kippen
  module Server
    # Somebody who was let in to be told of a client: still?
    class Watcher
      # account – a Store::Accounts::Account; session – the digests under which it is kept
      def initialize(database, account, session, client)
        @database = database
        @account = account.id
        @session = session
        @client = client
      end

      attr_reader :session

      # Is the session still in force, and the client still in sight?
      def still? = session? && in_sight?

      private

      def session?
        rows = @database[:account_active_session_keys].where(account_id: @account, session_id: @session)
        rows.where(Sequel[:last_use] > ago(SignIn::IDLE_SECONDS)).where(Sequel[:created_at] > ago(SignIn::LIFETIME_SECONDS)).any?
      end

      def in_sight?
        account = Store::Accounts.new(@database).open(@account)
        !account.nil? && Store::Clients.in_sight(@database, account).where(id: @client).any?
      end

      def ago(seconds) = Sequel.date_sub(Sequel::CURRENT_TIMESTAMP, seconds:)
    end
  end
end
