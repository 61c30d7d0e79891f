# frozen_string_literal: true

require "argon2"

module Kippen
  module Server
    module Store
      # Services and the accounts of the people who work in them.
      class Accounts
        Account = Struct.new(:id, :service, :service_name, :demo, :email, :name, :role, keyword_init: true)
        ROLES = %w[lead specialist viewer].freeze
        OPEN = 2
        CLOSED = 3
        SHOWN = %i[id email name role status].freeze

        # An address that has an account in the service already.
        class Taken < Kippen::Error; end

        # The service would be without a lead.
        class LastLead < Kippen::Error; end

        # The work argon2 is given to do; tests need less of it.
        COST = ENV["RACK_ENV"] == "test" ? { t_cost: 1, m_cost: 5 } : { t_cost: 2, m_cost: 16 }

        def initialize(database) = @database = database

        # The Account that is open by this id, or nil.
        def open(id)
          row = @database[:accounts].join(:services, id: :service_id).where(Sequel[:accounts][:id] => id, status: OPEN)
            .select(Sequel[:accounts][:id], :service_id, :email, Sequel[:accounts][:name], :role, :demo,
                    Sequel[:services][:name].as(:service_name)).first
          row && Account.new(service: row.delete(:service_id), **row).freeze
        end

        # The first service of somebody's own takes over what waits for it; returns its id.
        def first_service(name)
          waiting = @database[:services].where(waiting: true).get(:id) or return add_service(name)
          @database[:services].where(id: waiting).update(name:, waiting: false)
          waiting
        end

        # Makes a service; returns its id.
        def add_service(name, demo: false) = @database[:services].returning(:id).insert(name:, demo:).first.fetch(:id)

        # Makes an account; returns its row. Raises Taken.
        def add(service, email:, name:, role:, password:)
          @database[:accounts].returning(*SHOWN).insert(
            service_id: service, email: email.strip.downcase, name:, role:, password_hash: Accounts.hash_of(password)
          ).first
        rescue Sequel::UniqueConstraintViolation
          raise Taken, Words.say(:has_account, email:)
        end

        # [{ id:, email:, name:, role:, status:, locked:, clients: }], clients – what a viewer may look at
        def all(service)
          locked = @database[:account_lockouts].where { deadline > Sequel::CURRENT_TIMESTAMP }.select_map(:id)
          viewings = @database[:viewings].select_hash_groups(:account_id, :client_id)
          @database[:accounts].where(service_id: service).order(:name, :id).select(*SHOWN).map do |row|
            row.merge(locked: locked.include?(row[:id]), clients: viewings.fetch(row[:id], []))
          end
        end

        # changes – any of name:, role:, open:, password:, clients:, unlocked:. Raises LastLead.
        # Who loses a right loses it at once: the sessions end.
        def change(service, id, changes)
          Store.transaction(@database) do
            @database[:services].where(id: service).for_update.first
            columns = columns(changes)
            account(service, id).update(columns) unless columns.empty?
            view(service, id, changes[:clients]) if changes[:clients]
            unlock(id) if changes[:unlocked] || changes[:password]
            @database[:account_active_session_keys].where(account_id: id).delete if changes.key?(:open) || changes[:password]
            raise LastLead, Words.say(:needs_lead) if leads(service).empty?

            News.rights(@database)
          end
        end

        def demo_service = @database[:services].where(demo: true).order(:created_at).get(:id)

        def own_service? = @database[:services].where(demo: false, waiting: false).any?

        # The id of the demo's account by its role.
        def demo_account(role) = @database[:accounts].where(service_id: demo_service, role:, status: OPEN).order(:id).get(:id)

        def self.hash_of(password) = Argon2::Password.new(COST).create(password)

        private

        def columns(changes)
          columns = changes.slice(:name, :role)
          columns[:status] = changes[:open] ? OPEN : CLOSED if changes.key?(:open)
          columns[:password_hash] = Accounts.hash_of(changes[:password]) if changes[:password]
          columns
        end

        def account(service, id) = @database[:accounts].where(id:, service_id: service)
        def leads(service) = @database[:accounts].where(service_id: service, role: "lead", status: OPEN)

        def view(service, id, clients)
          @database[:viewings].where(account_id: id).delete
          own = @database[:clients].where(service_id: service, id: clients.grep(UUID)).select_map(:id)
          @database[:viewings].multi_insert(own.map { |client| { account_id: id, client_id: client } })
        end

        def unlock(id)
          @database[:account_login_failures].where(id:).delete
          @database[:account_lockouts].where(id:).delete
        end
      end
    end
  end
end
