# frozen_string_literal: true

module Kippen
  module Press
    # What exists once for each host: its modes, and what is under pointer and focus.
    class HostState
      # One keeping of a mode by a held button; two holds are never the same Hold.
      # followers – contacts that have had a burst from exactly this hold (a Hash, for its keys)
      Hold = Struct.new(:mode, :button, :followers) do
        def initialize(mode, button) = super(mode, button, {}.compare_by_identity)
        def ==(other) = equal?(other)
      end

      attr_accessor :latched, :locked, :pointer_in, :focus_in

      # held   – Holds that are on, oldest first
      # poised – buttons whose first press is down, undecided and may become a held mode
      attr_reader :held, :poised

      def initialize(nowhere)
        @held = []
        @poised = []
        @latched = nil
        @locked = nil
        @pointer_in = nowhere
        @focus_in = nowhere
      end

      # The mode that a press takes now, and how it is kept: [id, "held", "latch" or "lock"]; nil: base.
      def effective
        return [held.last.mode, "held"] if held.any?
        return [latched, "latch"] if latched

        [locked, "lock"] if locked
      end

      def lock(mode)
        @locked = @locked == mode ? nil : mode
        @latched = nil
      end

      # from_latch – the burst that fires this latch itself took the mode from a latch
      def latch(mode, from_latch)
        if from_latch
          @locked = mode
          @latched = nil
        elsif @locked == mode
          @locked = @latched = nil
        else
          @latched = mode
        end
      end

      def clear
        @latched = @locked = nil
      end
    end
  end
end
