# frozen_string_literal: true

module Kippen
  module Press
    # What a bench shows: the stream of messages from one listener, put in the order of
    # their times and replayed. The same messages give the same view in whatever order
    # they came, and however often.
    class Bench
      TOLD = "told"

      # number – the message's place in the stream; kind – of a trace, or "told" for time running on
      Message = Struct.new(:number, :time_us, :source, :kind, :value, keyword_init: true)

      # A button that waits. for: "release", "press", "long_press", "tap_gap" or "repeat"
      Waiting = Struct.new(:button, :for, :due_us)
      FOR = %w[release press long_press tap_gap repeat].freeze

      # stories in the order begun; next_us – when to tell the time again, or nil
      View = Struct.new(:stories, :waiting, :next_us, :now_us, keyword_init: true)

      # Takes a Fitting and Messages; returns a View. Messages about a button that the
      # fitting no longer has are passed over.
      def self.view(fitting, messages)
        recorder = Stories.new
        engine = Engine.new(fitting, recorder:)
        events = Events.new(fitting)
        in_order(messages).each { |message| feed(engine, events, message) }
        View.new(stories: recorder.stories, waiting: engine.waiting, next_us: engine.next_us, now_us: engine.now_us)
      end

      # Each message once, by time, then as they were sent.
      def self.in_order(messages) = messages.uniq(&:number).sort_by { |message| [message.time_us, message.number] }

      def self.feed(engine, events, message)
        return engine.tell(message.time_us) if message.kind == TOLD

        events.feed(engine, message.time_us, events.read(message.source, message.kind, message.value))
      rescue ArgumentError
        engine.tell(message.time_us)
      end
      private_class_method :feed
    end
  end
end
