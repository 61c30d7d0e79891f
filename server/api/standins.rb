# frozen_string_literal: true

module Kippen
  module Server
    # Stand-in hands: simulated presses that come in by the same way as real ones.
    module StandinRoutes
      LISTENER = "Stand-in hand"

      def self.registered(app)
        app.get("/api/clients/:client/hands") do
          fitting, = revisions.fitting(params["client"])
          json("hands" => fitting.hands.map { |hand| { "id" => hand["id"], "name" => hand["name"] || hand["id"], "source" => hand["source"].to_s } })
        end

        app.post("/api/clients/:client/hands/presses") do
          # All of it or, where a press can't be, nothing.
          database.transaction do
            stream = streams.find(streams.add(listeners.standing_in(params["client"], LISTENER)))
            clients.seen(params["client"])
            status 201
            json(BenchRoutes.keep(self, stream, ahead: nil) { |fitting| StandinRoutes.messages(fitting, sent) })
          end
        end
      end

      # asked – as in the contract; returns Press::Bench::Messages. Raises Invalid.
      def self.messages(fitting, asked)
        button = fitting.button(asked["button"]) || raise(Invalid.at("/button", "unknown button #{Faults.show(asked["button"])}"))
        hand = fitting.hands.find { |one| one["id"] == asked["hand"] } || raise(Invalid.at("/hand", "unknown hand #{Faults.show(asked["hand"])}"))
        events = Standins::Hand.new(hand, asked["seed"]).play(button.kind, asked["script"])
        events.each_with_index.map do |event, index|
          source = event.kind == Press::Bench::TOLD ? "" : button.ref
          Press::Bench::Message.new(number: index + 1, time_us: event.time_us, source:, kind: event.kind, value: event.value)
        end
      end
    end
  end
end
