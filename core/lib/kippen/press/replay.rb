# frozen_string_literal: true

module Kippen
  module Press
    # A whole trace in one go.
    module Replay
      # rows – an Array of [t_us, event as Events#read gives it]; returns Outcomes.
      def self.run(fitting, rows, recorder: nil)
        engine = Engine.new(fitting, recorder:)
        events = Events.new(fitting)
        rows.each { |time, event| events.feed(engine, time, event) }
        engine.take
      end

      # trace – a Formats::TraceCsv. Yields Outcomes as they are decided.
      def self.stream(fitting, trace, recorder: nil, &block)
        engine = Engine.new(fitting, recorder:)
        events = Events.new(fitting)
        trace.each do |time, source, kind, value, row|
          events.feed(engine, time, events.read(source, kind, value))
          engine.take.each(&block)
        rescue ArgumentError => e
          raise Invalid.at("row #{row}", e.message)
        end
      end
    end
  end
end
