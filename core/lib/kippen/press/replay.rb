# frozen_string_literal: true

module Kippen
  module Press
    # A whole trace in one go.
    module Replay
      # Outcomes are handed on after this many rows.
      BATCH = 512

      # rows – an Array of [t_us, event as Events#read gives it]; returns Outcomes.
      def self.run(fitting, rows, recorder: nil)
        engine = Engine.new(fitting, recorder:)
        events = Events.new(fitting)
        rows.each { |time, event| events.feed(engine, time, event) }
        engine.take
      end

      # io – a trace as CSV, read as it comes; most_rows – more are refused, nil: any number.
      # Yields Outcomes in the order decided. Raises Invalid.
      def self.stream(fitting, io, recorder: nil, most_rows: nil, &block)
        engine = Engine.new(fitting, recorder:)
        events = Events.new(fitting)
        rows = 0
        Formats::TraceCsv.new(io, read: events.method(:read)).each do |time, event|
          events.feed(engine, time, event)
          rows += 1
          raise Invalid.at("row #{rows + 1}", Words.say(:most_rows_are_taken_here, most_rows:)) if most_rows && rows > most_rows

          engine.take.each(&block) if (rows % BATCH).zero?
        end
        engine.take.each(&block)
      end
    end
  end
end
