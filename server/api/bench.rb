# frozen_string_literal: true

module Kippen
  module Server
    # The live bench: what was heard comes in, what it came to goes out.
    module BenchRoutes
      STREAMS_SHOWN = 3

      def self.registered(app)
        app.get("/api/clients/:client/bench") do
          head = revisions.head(params["client"])
          json("revision" => head.number, "streams" => streams.latest(params["client"], STREAMS_SHOWN).map do |stream|
            RenderBench.view(stream, benches.look(stream))
          end)
        end

        app.post("/api/listeners/:listener/streams") do
          listener = listeners.find(params["listener"])
          clients.seen(listener[:client_id])
          status 201
          json("id" => streams.add(listener[:id], raw: sent&.fetch("raw", false) || false))
        end

        app.get("/api/streams/:stream") do
          stream = streams.find(params["stream"])
          confirmations.settle(stream[:client_id])
          json(RenderBench.view(stream, benches.look(stream)))
        end

        app.post("/api/streams/:stream/messages") { json(BenchRoutes.take(self, streams.find(params["stream"]))) }
      end

      # Keeps the messages that were sent; returns the view of what they changed. What nobody
      # confirmed in time is taken back before.
      def self.take(app, stream)
        app.confirmations.settle(stream[:client_id])
        keep(app, stream) { |fitting| read(app.sent["messages"], fitting, raw: stream[:raw]) }
      end

      # Keeps the Press::Bench::Messages that the block reads by a Fitting, whoever sent them. ahead – see Store::Benches#take
      def self.keep(app, stream, **ahead, &)
        seen, touched = heard(app, stream, **ahead, &)
        cues = RenderScreen.cues(seen.fitting, seen.decided, seen.modes_changed, touched)
        RenderBench.view(stream, seen).merge("cues" => cues, "quiet" => seen.fitting.cues["quiet"],
                                             "places" => touched.transform_values(&:where))
      end

      # What was decided happens on the screens while the stream is still held: otherwise what comes next
      # might happen there before. What is pressed because a sitting asked for it is really done nowhere. A press may confirm
      # a change, where what it came to does the main job: with what it was decided by, or not at all.
      # Returns [Store::Benches::Seen, { host id => Standins::Screen }].
      def self.heard(app, stream, **ahead, &)
        Store.transaction(app.database) do
          seen = app.benches.take(stream, **ahead, &)
          asked = app.sittings.hear(stream, seen.heard)
          changed = seen.modes_changed.map(&:first)
          events = Store::Screens::Events.new(decided: seen.decided.reject { |one| one.button == asked },
                                              presses: seen.presses.reject { |one| one.button == asked }, now_us: seen.now_us)
          touched = app.screens.follow(stream[:client_id], seen.fitting, events, changed:, modes: seen.bench.modes)
          # What a device still does confirms nothing of the desk.
          confirm(app, stream, seen.fitting, events.decided) unless seen.by_devices
          [seen, touched]
        end
      end

      def self.confirm(app, stream, fitting, decided)
        job = Reach::MainJob.new(KNOWLEDGE)
        app.confirmations.confirm(stream[:client_id], decided.select { |outcome| job.done?(fitting, outcome) }.map(&:button))
      end

      # Takes the contract's messages; returns Press::Bench::Messages. Raises Invalid with
      # every one that can't be. raw – sources are what was heard, not buttons
      def self.read(list, fitting, raw: false)
        events = Press::Events.new(fitting)
        faults = Faults.new
        read = list.each_with_index.map do |item, index|
          source, kind, value = item.values_at("source", "kind", "value").map { |text| text || "" }
          check(events, [source, kind, value], raw) unless kind == Press::Bench::TOLD
          Press::Bench::Message.new(number: item["number"], time_us: item["t_us"], source:, kind:, value:)
        rescue ArgumentError => e
          faults.add("/messages/#{index}", e.message)
        end
        faults.raise_any
        read
      end

      def self.check(events, (source, kind, value), raw)
        return events.read(source, kind, value) if !raw || Press::Events::SPOTS.include?(kind)

        raise ArgumentError, Words.say(:no_source, source: Faults.show(source)) unless Store::RawMessages::SOURCE.match?(source)
        raise ArgumentError, Words.say(:cant_be_heard, kind:) unless Press::Events::KINDS.key?(kind)
      end
      private_class_method :check, :heard, :confirm
    end
  end
end
