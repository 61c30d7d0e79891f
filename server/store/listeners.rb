# frozen_string_literal: true

module Kippen
  module Server
    module Store
      # Browsers that hear buttons, and what each of their sources stands for.
      class Listeners
        MOST_BINDINGS = 100

        def initialize(database) = @database = database

        # Returns { id:, client_id:, name: }. Raises Missing.
        def find(id)
          @database[:listeners].select(:id, :client_id, :name)[id: Store.uuid(id, "listener")] ||
            raise(Missing, Words.say(:no_listener, id:))
        end

        def add(client, name)
          @database[:listeners].returning(:id, :client_id, :name).insert(client_id: Store.uuid(client, "client"), name:).first
        rescue Sequel::ForeignKeyConstraintViolation
          raise Missing, Words.say(:no_client, id: client)
        end

        # The id of a client's listener that is no browser, made where it isn't there yet.
        def standing_in(client, name)
          @database[:listeners].where(client_id: client, name:, join_id: nil).get(:id) || add(client, name)[:id]
        end

        # { heard => button }
        def bindings(id) = @database[:bindings].where(listener_id: id).order(:heard).to_hash(:heard, :button)

        # Puts all bindings of a listener in place of those it had.
        def bind(id, bindings)
          Store.transaction(@database) do
            @database[:listeners].where(id:).lock_style(:update).first
            @database[:bindings].where(listener_id: id).delete
            @database[:bindings].multi_insert(bindings.map { |heard, button| { listener_id: id, heard:, button: } })
          end
        end
      end
    end
  end
end
