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
          views = streams.latest(params["client"], STREAMS_SHOWN).map { |stream| BenchRoutes.view(self, stream, fitting, streams.messages(stream[:id])) }
          json("revision" => revision[:number], "streams" => views)
        end

        app.post("/api/listeners/:listener/streams") do
          listener = listeners.find(params["listener"])
          clients.seen(listener[:client_id])
          status 201
          json("id" => streams.add(listener[:id], raw: sent&.fetch("raw", false) || false))
        end

        app.get("/api/streams/:stream") do
          stream = streams.find(params["stream"])
          fitting, revision = revisions.fitting(stream[:client_id])
          json("revision" => revision[:number], **BenchRoutes.view(self, stream, fitting, streams.messages(stream[:id])))
        end

        app.post("/api/streams/:stream/messages") do
          stream = streams.find(params["stream"])
          fitting, revision = revisions.fitting(stream[:client_id])
          json("revision" => revision[:number], **BenchRoutes.take(self, stream, fitting))
        end
      end

      # Keeps the messages that were sent; returns the view after them.
      def self.take(app, stream, fitting)
        messages = read(app.sent["messages"], fitting, raw: stream[:raw])
        view(app, stream, fitting, keep(app, stream, fitting, messages), from_us: messages.map(&:time_us).min)
      end

      # Keeps Press::Bench::Messages, whoever sent them; returns all of the stream. A press among
      # them may confirm a change.
      def self.keep(app, stream, fitting, messages)
        all = app.streams.take(stream, messages)
        app.confirmations.heard(stream[:client_id], pressed(app, stream, fitting, messages))
        all
      end

      # Refs of the buttons that messages press.
      def self.pressed(app, stream, fitting, messages)
        messages = app.streams.reader(fitting, stream[:listener_id]).messages(messages) if stream[:raw]
        pressed = messages.select do |one|
          %w[down notch].include?(one.kind) || (one.kind == "level" && Float(one.value) >= fitting.timing(fitting.button(one.source)).press_at)
        end
        pressed.map(&:source).uniq
      end

      # from_us – tell only what messages from this time on can have changed; nil: everything
      def self.view(app, stream, fitting, messages, from_us: nil)
        reader = app.streams.reader(fitting, stream[:listener_id]) if stream[:raw]
        replayed = reader ? reader.messages(messages) : messages
        RenderBench.new(fitting).view(stream, Press::Bench.view(fitting, replayed), messages, from_us)
          .merge("listener" => stream[:name], "listener_id" => stream[:listener_id], "heard" => RenderBench.heard(messages, reader, fitting))
      end

      # Takes the contract's messages; returns Press::Bench::Messages. Raises Invalid with
      # every one that can't be. raw – sources are what was heard, not buttons
      def self.read(list, fitting, raw: false)
        events = Press::Events.new(fitting)
        faults = Faults.new
        read = list.each_with_index.map do |item, index|
          source, kind, value = item.values_at("source", "kind", "value").map { |text| text || "" }
          check(events, source, kind, value, raw) unless kind == Press::Bench::TOLD
          Press::Bench::Message.new(number: item["number"], time_us: item["t_us"], source:, kind:, value:)
        rescue ArgumentError => e
          faults.add("/messages/#{index}", e.message)
        end
        faults.raise_any
        read
      end

      def self.check(events, source, kind, value, raw)
        return events.read(source, kind, value) unless raw
        raise ArgumentError, "#{Faults.show(source)} is no source that can be heard" unless Store::RawMessages::SOURCE.match?(source)
        raise ArgumentError, "#{kind} can't be heard" unless Press::Events::KINDS.key?(kind)
      end
      private_class_method :check, :pressed
    end
  end
end
