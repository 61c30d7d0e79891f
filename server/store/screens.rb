# frozen_string_literal: true

module Kippen
  module Server
    module Store
      # What stands on the screens of a client's stand-in hosts, as presses and people left them.
      class Screens
        def initialize(database) = @database = database

        # The Standins::Screen of a Fitting::Host.
        def of(client, fitting, host) = screen(fitting, host, @database[:screens].where(client_id: client, host: host.id).get(:state))

        # [Standins::Screen] of all hosts of a fitting.
        def all(client, fitting)
          states = @database[:screens].where(client_id: client).to_hash(:host, :state)
          fitting.hosts.map { |host| screen(fitting, host, states[host.id]) }
        end

        # Yields the Standins::Screen of a host, held meanwhile, and keeps the one that the block gives. Returns it.
        def change(client, fitting, host)
          Store.transaction(@database) do
            row = @database[:screens].where(client_id: client, host: host.id)
            begun = screen(fitting, host, nil)
            @database[:screens].insert_conflict.insert(client_id: client, host: host.id, state: Sequel.pg_jsonb(begun.state))
            was = screen(fitting, host, row.for_update.get(:state))
            now = yield was
            next now if now.state == was.state

            row.update(state: Sequel.pg_jsonb(now.state))
            News.tell(@database, client, "screen")
            now
          end
        end

        # What was decided happens on the screens. decided – [Press::Outcome]; changed – ids of hosts whose mode has
        # changed; modes – { host id => the mode that is on there now }, see Press::HostState#effective.
        # Returns { host id => Standins::Screen } of those that something happened to.
        def follow(client, fitting, decided, changed, modes)
          by_host = decided.group_by { |outcome| fitting.button(outcome.button)&.host }
          (by_host.keys | changed).compact.filter_map do |id|
            host = fitting.host(id) or next
            done = by_host.fetch(id, [])
            [id, change(client, fitting, host) { |screen| done.reduce(screen) { |one, outcome| one.did(outcome, own(fitting, outcome)) }.in_mode(modes[id]) }]
          end.to_h
        end

        private

        # What can't be read is a screen on which nothing has happened yet.
        def screen(fitting, host, state)
          state = state&.to_hash
          Standins::Screen.new(fitting, KNOWLEDGE, host, Standins::Screen.state?(state) ? state : nil)
        end

        def own(fitting, outcome)
          button = fitting.button(outcome.button)
          KINDS.button(fitting.device(button.device), button)&.fetch("builtin_action", nil)
        end
      end
    end
  end
end
