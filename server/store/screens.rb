# frozen_string_literal: true

module Kippen
  module Server
    module Store
      # What stands on the screens of a client's stand-in hosts, as presses and people left them.
      class Screens
        # What came of a stream. decided – [Press::Outcome]; presses – [Press::Stories::Press];
        # now_us – how far it is told
        Events = Struct.new(:decided, :presses, :now_us, keyword_init: true) do
          # In the order in which they came about: a press is known before what it comes to.
          def in_order = [*presses, *decided].sort_by.with_index { |one, index| [one.at_us, index] }
        end

        # clock – gives now, in ms
        def initialize(database, clock: -> { (Time.now.to_r * 1000).to_i })
          @database = database
          @clock = clock
        end

        # The Standins::Screen of a Fitting::Host as it is now.
        def of(client, fitting, host)
          screen(fitting, host, @database[:screens].where(client_id: client, host: host.id).get(:state)).at(@clock.call)
        end

        # [Standins::Screen] of all hosts of a fitting.
        def all(client, fitting)
          states = @database[:screens].where(client_id: client).to_hash(:host, :state)
          now = @clock.call
          fitting.hosts.map { |host| screen(fitting, host, states[host.id]).at(now) }
        end

        # Yields the Standins::Screen of a host, held meanwhile, and keeps the one that the block gives. Returns it.
        # at_ms – as it is then; usually now
        def change(client, fitting, host, at_ms: @clock.call)
          Store.transaction(@database) do
            row = @database[:screens].where(client_id: client, host: host.id)
            begun = screen(fitting, host, nil)
            @database[:screens].insert_conflict.insert(client_id: client, host: host.id, state: Sequel.pg_jsonb(begun.state))
            was = screen(fitting, host, row.for_update.get(:state))
            now = yield was.at(at_ms)
            next now if now.state == was.state

            row.update(state: Sequel.pg_jsonb(now.state))
            News.tell(@database, client, "screen")
            now
          end
        end

        # What came happens on the screens, each at its time: the end of the stream is now. events – Events; changed – ids
        # of hosts whose mode has changed; modes – { host id => the mode that is on there now }, see
        # Press::HostState#effective. Returns { host id => Standins::Screen } of those that something happened to.
        def follow(client, fitting, events, changed:, modes:)
          begun_ms = @clock.call - (events.now_us / 1000)
          by_host = events.decided.group_by { |outcome| fitting.button(outcome.button)&.host }
          (by_host.keys | changed | waiting(client, fitting, events.presses)).compact.filter_map do |id|
            host = fitting.host(id) or next
            [id, change(client, fitting, host,
                        at_ms: 0) { |screen| happen(fitting, screen, events, begun_ms).in_mode(modes[id]) }]
          end.to_h
        end

        private

        # Ids of hosts on which something is under way that one of these presses may break off.
        def waiting(client, fitting, presses)
          return [] if presses.empty?

          refs = presses.map(&:button)
          states = @database[:screens].where(client_id: client).to_hash(:host, :state)
          shown = fitting.hosts.select { |host| states[host.id] }
          shown.select { |host| Standins::Course.new(screen(fitting, host, states[host.id])).stop?(refs) }.map(&:id)
        end

        def happen(fitting, screen, events, begun_ms)
          events.in_order.reduce(screen) do |now, one|
            at = now.at(begun_ms + (one.at_us / 1000), one.button)
            next at.pressed(one.button, one.began_us) if one.is_a?(Press::Stories::Press)

            fitting.button(one.button)&.host == now.host.id ? at.did(one, own(fitting, one)) : at
          end
        end

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
