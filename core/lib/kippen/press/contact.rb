# frozen_string_literal: true

module Kippen
  module Press
    # One button as the engine follows it: the contact that is on it now, what the
    # click filter made of it, and the burst that its presses belong to.
    class Contact
      attr_reader :button, :host, :index, :gap_bridge, :bounce_guard, :brush_guard, :long_press, :tap_gap,
                  :press_at, :release_at, :bounce_from_release, :gap_from_release

      # closed     – the raw contact is closed
      # began_us   – start of the contact that is on, nil where none is
      # opened_us  – since when it is open in a gap that may yet be bridged, or nil
      # verdict    – :pending (brush guard runs), :press or :bounce
      # bounce_ref – from when the bounce guard counts, or nil
      # hold_then  – the Hold that led when this contact began, or nil
      # due_us, due_kind – its timer in the Schedule; due_us is nil where it has none
      attr_accessor :closed, :began_us, :opened_us, :verdict, :bounce_ref, :hold_then, :burst, :due_us, :due_kind

      def initialize(button, timing, host)
        @button = button
        @host = host
        @index = button.index
        @gap_bridge = timing.gap_bridge_us
        @bounce_guard = timing.bounce_guard_us
        @bounce_from_release = timing.bounce_guard_from == "release"
        @brush_guard = timing.brush_guard_us
        @long_press = timing.long_press_us
        @tap_gap = timing.tap_gap_us
        @gap_from_release = timing.tap_gap_from == "release"
        @press_at = timing.press_at
        @release_at = timing.release_at
        @closed = false
      end

      def bounces?(time_us) = @bounce_ref && time_us - @bounce_ref < @bounce_guard

      # A touch has begun that isn't known to be a press yet.
      def touch_pending? = @verdict == :pending

      def contact_over
        @began_us = @opened_us = @verdict = @hold_then = nil
      end
    end
  end
end
