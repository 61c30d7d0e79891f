# frozen_string_literal: true

module Kippen
  module Server
    # Who may ask for what, as the contract's own words "x-who" tell of each operation;
    # one without them is open to nobody. What another service has is "not there".
    class Guard
      ANYONE = "anyone"
      LISTENER = "listener"
      # Whoever has a code for a list by hand.
      HAND = "hand"
      # Places in what another parameter names, and what is nobody's own.
      NO_OWNER = %w[number kind shipped].freeze
      # Of whose client a path speaks: parameter → table and the way to its client.
      CLIENT_OF = {
        "client" => ->(db, id) { db[:clients].where(id:).select(:id) },
        "join" => ->(db, id) { db[:joins].where(id:).select(:client_id) },
        "listener" => ->(db, id) { db[:listeners].where(id:).select(:client_id) },
        "sitting" => ->(db, id) { db[:sittings].where(id:).select(:client_id) },
        "fit" => ->(db, id) { db[:fits].where(id:).select(:client_id) },
        "proposal" => ->(db, id) { db[:proposals].where(id:).select(:client_id) },
        "stream" => lambda { |db, id|
          db[:streams].join(:listeners, id: :listener_id).where(Sequel[:streams][:id] => id).select(:client_id)
        }
      }.freeze

      def initialize(app, definition, database)
        @app = app
        @definition = definition
        @database = database
      end

      def call(env)
        asked = @definition.request(Rack::Request.new(env))
        return @app.call(env) unless asked.known?

        who = asked.operation["x-who"] || []
        return @app.call(env) if who.include?(ANYONE)
        return joined(env, who) if (who - [LISTENER, HAND]).empty? && who.any?

        refusal(who, env["kippen.account"], asked.path_parameters) || @app.call(env)
      end

      private

      # Who has joined by code shows the token got for it; what is for listeners is for nobody else who has one.
      def joined(env, who)
        token = env["HTTP_AUTHORIZATION"].to_s.delete_prefix("Bearer ")
        join = Store::Joins.new(@database).by_token(token)
        return Problem.response(401, Words.say(:listener_over)) unless join && who.include?(join[:lists] ? HAND : LISTENER)

        env["kippen.join"] = join
        @app.call(env)
      end

      def refusal(who, account, parameters)
        return Problem.response(401, Words.say(:sign_in_first)) unless account
        return Problem.response(404, Words.say(:nothing_by_name)) unless parameters.except(*NO_OWNER).all? do |name, id|
          in_sight?(account, name, id.to_s)
        end

        return if who.include?(account.role)

        Problem.response(403, Words.say(:must_be_role, roles: Words.list(who.map do |one|
          Words.say(:"role_#{one}")
        end, either: true), role: Words.say(:"role_#{account.role}")))
      end

      def in_sight?(account, name, id)
        return account?(account, id) if name == "account"
        return kind?(account, id) if name == "shelf"
        return false unless Store::UUID.match?(id)

        client = CLIENT_OF.fetch(name).call(@database, id)
        Store::Clients.in_sight(@database, account).where(id: client).any?
      end

      def kind?(account, id) = Fitting::Ids.ok?(id) && @database[:kinds].where(service_id: account.service, id:).any?

      # What no account can have as its id the database need not be asked.
      def account?(account, id)
        id.match?(/\A\d{1,18}\z/) && @database[:accounts].where(id: Integer(id, 10), service_id: account.service).any?
      end
    end
  end
end
