# frozen_string_literal: true

module Kippen
  module Server
    # The live bench. Nothing of it is kept between requests: every answer is the
    # replay of the stream's messages on the fitting in force.
    module BenchRoutes
      STREAMS_SHOWN = 3

      def self.registered(app)
        app.get("/api/clients/:client/bench") do
          fitting, revision = revisions.fitting(params["client"])
          views = streams.latest(params["client"], STREAMS_SHOWN).map { |id| BenchRoutes.view(fitting, id, streams.messages(id)) }
          json("revision" => revision[:number], "streams" => views)
        end

        app.post("/api/listeners/:listener/streams") do
          listener = listeners.find(params["listener"])
          clients.seen(listener[:client_id])
          status 201
          json("id" => streams.add(listener[:id]))
        end

        app.post("/api/streams/:stream/messages") do
          stream = streams.find(params["stream"])
          fitting, revision = revisions.fitting(stream[:client_id])
          messages = BenchRoutes.read(sent["messages"], fitting)
          all = streams.take(stream[:id], messages)
          json("revision" => revision[:number], **BenchRoutes.view(fitting, stream[:id], all, from_us: messages.map(&:time_us).min))
        end
      end

      # from_us – tell only what messages from this time on can have changed; nil: everything
      def self.view(fitting, stream, messages, from_us: nil)
        RenderBench.new(fitting).view(stream, Press::Bench.view(fitting, messages), messages, from_us)
      end

      # Takes the contract's messages; returns Press::Bench::Messages. Raises Invalid with
      # every one that can't be.
      def self.read(list, fitting)
        events = Press::Events.new(fitting)
        faults = Faults.new
        read = list.each_with_index.map do |item, index|
          source, kind, value = item.values_at("source", "kind", "value").map { |text| text || "" }
          events.read(source, kind, value) unless kind == Press::Bench::TOLD
          Press::Bench::Message.new(number: item["number"], time_us: item["t_us"], source:, kind:, value:)
        rescue ArgumentError => e
          faults.add("/messages/#{index}", e.message)
        end
        faults.raise_any
        read
      end
    end
  end
end
