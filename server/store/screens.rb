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

        # What was decided happens on the screens: decided – [Press::Outcome]; modes – { host => [mode, how] or nil }
        # Returns { host id => Standins::Screen } of those that something happened to.
        def follow(client, fitting, decided, modes)
          by_host = decided.group_by { |outcome| fitting.button(outcome.button)&.host }
          (by_host.keys | modes.keys).compact.filter_map do |id|
            host = fitting.host(id) or next
            [id, change(client, fitting, host) { |screen| after(screen, fitting, by_host.fetch(id, []), modes, id) }]
          end.to_h
        end

        private

        # What can't be read is a screen on which nothing has happened yet.
        def screen(fitting, host, state)
          state = state&.to_hash
          Standins::Screen.new(fitting, KNOWLEDGE, host, Standins::Screen.state?(state) ? state : nil)
        end

        def after(screen, fitting, outcomes, modes, host)
          done = outcomes.reduce(screen) { |one, outcome| one.did(outcome, own(fitting, outcome)) }
          return done unless modes.key?(host)

          done.with(mode: modes[host] && { "id" => modes[host][0], "how" => modes[host][1] })
        end

        def own(fitting, outcome)
          button = fitting.button(outcome.button)
          KINDS.button(fitting.device(button.device), button)&.fetch("builtin_action", nil)
        end
      end
    end
  end
end
