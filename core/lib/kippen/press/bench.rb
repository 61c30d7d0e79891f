# frozen_string_literal: true

module Kippen
  module Press
    # What a bench makes of a stream of messages from one listener: fed on from message to message,
    # saved in between and taken up again, so that each costs the same however many came before.
    # Messages are given in the order of their times; what the order is to be is the store's matter.
    class Bench
      TOLD = "told"
      FORMAT = "bench-state/1"

      # number – the message's place in the stream; kind – of a trace, or "told" for time running on
      Message = Struct.new(:number, :time_us, :source, :kind, :value, keyword_init: true) do
        # Messages stand by time, then as they were sent.
        def place = [time_us, number]
      end

      # A button that waits. for: "release", "press", "long_press", "tap_gap" or "repeat"
      Waiting = Struct.new(:button, :for, :due_us)
      FOR = %w[release press long_press tap_gap repeat].freeze

      # A bench on which nothing was heard yet; or that goes on from a moment of rest of any fitting of
      # the client (see Saving#rest).
      def self.from(fitting, rest = nil)
        new(fitting).tap { |bench| bench.engine.go_on(rest) if rest }
      end

      # One that goes on with what #save gave, on the same fitting.
      def self.resume(fitting, saved)
        raise Error, Words.say(:this_no_saved_bench, given: Faults.show(saved["kippen"])) unless saved["kippen"] == FORMAT

        new(fitting).tap do |bench|
          bench.engine.resume(saved.fetch("engine"))
          bench.recorder.resume(saved.fetch("stories"), fitting, Press::Resolver.of(fitting))
        end
      end

      attr_reader :engine, :recorder

      def initialize(fitting)
        @recorder = Stories.new(brief: true)
        @engine = Engine.new(fitting, recorder: @recorder, resolver: Press::Resolver.of(fitting))
        @events = Events.new(fitting)
      end

      # Takes one Message. Its time must not be before the last one's. A message about a button that
      # the fitting doesn't have, or that this button can't give, only lets time run on.
      def feed(message)
        return @engine.tell(message.time_us) if message.kind == TOLD

        @events.feed(@engine, message.time_us, @events.read(message.source, message.kind, message.value))
      rescue ArgumentError
        @engine.tell(message.time_us)
      end

      # [Stories::Story] that came to their end since this was last asked.
      def take_over = @recorder.take_over

      # [Stories::Story] that are not over.
      def open = @recorder.stories

      # [Stories::Press] that became known since this was last asked.
      def take_presses = @recorder.take_presses

      # [Outcome] decided since this was last asked.
      def take_decided = @engine.take

      # See Engine#modes.
      def modes = @engine.modes

      def save = { "kippen" => FORMAT, "engine" => @engine.save, "stories" => @recorder.save }

      # See Saving#rest.
      def rest = @engine.rest
      def waiting = @engine.waiting
      def next_us = @engine.next_us
      def now_us = @engine.now_us
    end
  end
end
