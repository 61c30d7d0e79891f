# frozen_string_literal: true

module Kippen
  module Server
    # Stand-in hands: simulated presses that come in by the same way as real ones. One goes on where it was:
    # a mode that it took is still on.
    module StandinRoutes
      LISTENER = "Stand-in hand"

      def self.registered(app)
        app.get("/api/clients/:client/hands") do
          fitting, = revisions.fitting(params["client"])
          json("hands" => KNOWLEDGE.hands.all(fitting).map { |hand| StandinRoutes.told(hand, fitting) },
               "dials" => Standins::Dials::ALL
                 .map { |dial| dial.to_h.slice(:id, :unit, :from, :to, :step).transform_keys(&:to_s) })
        end

        app.post("/api/clients/:client/hands/picture") do
          fitting, = revisions.fitting(params["client"])
          shown = Standins::Hands.picture(KNOWLEDGE.hands.find(fitting, sent["hand"], sent.fetch("dials", {})), sent["seed"])
          json("shown" => shown, "longest_ms" => shown.flat_map { |one| one["touches"].map(&:last) }.max || 0)
        end

        app.post("/api/clients/:client/hands/presses") do
          # All of it or, where a press can't be, nothing.
          Store.transaction(database) do
            client = params["client"]
            stream = streams.find(streams.going_on(listeners.standing_in(client, LISTENER)))
            told = BenchRoutes.keep(self, stream, ahead: nil) do |fitting|
              StandinRoutes.messages(fitting, sent, screens.all(client, fitting), after: streams.last(stream[:id]))
            end
            clients.seen(client)
            status 201
            json(told)
          end
        end
      end

      # asked – as in the contract; screens – [Standins::Screen], on which the client is somewhere already;
      # after – [number, µs] of the stream's last message. Returns Press::Bench::Messages. Raises Invalid.
      def self.messages(fitting, asked, screens, after:)
        button = fitting.button(asked["button"]) || raise(Invalid.at("/button",
                                                                     Words.say(:unknown_button,
                                                                               ref: Faults.show(asked["button"]))))
        hand = KNOWLEDGE.hands.find(fitting, asked["hand"], asked.fetch("dials", {}))
        events = Standins::Hand.new(hand, asked["seed"]).play(button.kind, asked["script"])
        pressed = events.map do |event|
          [event.time_us, event.kind == Press::Bench::TOLD ? "" : button.ref, event.kind, event.value]
        end
        numbered([*spots(screens), *pressed], after)
      end

      def self.told(hand, fitting)
        { "id" => hand["id"], "name" => hand["name"] || hand["id"], "says" => hand["says"].to_s, "source" => hand["source"].to_s,
          "own" => fitting.hands.include?(hand), "values" => Standins::Dials.new(hand).values }
      end

      # rows – [[µs, source, kind, value]…]; after – see #messages. Returns Press::Bench::Messages.
      def self.numbered(rows, after)
        rows.each_with_index.map do |(time_us, source, kind, value), index|
          Press::Bench::Message.new(number: after[0] + index + 1, time_us: after[1] + time_us, source:, kind:, value:)
        end
      end

      # Where pointer and focus are when it begins; nowhere too, for the stream goes on from before.
      def self.spots(screens)
        screens.flat_map { |screen| screen.where.map { |what, where| [0, screen.host.id, "#{what}_in", where] } }
      end
    end
  end
end
