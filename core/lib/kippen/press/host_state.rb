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

      # The mode that a burst takes. origin – the Hold or :latch that it came from, nil for locked and base
      # closed – no further press is waited for, for the hold is over
      Taken = Struct.new(:mode, :origin, :closed) do
        def held? = !origin.nil? && origin != :latch
      end

      BASE = Taken.new(Fitting::BASE, nil, false).freeze

      attr_accessor :latched, :locked, :pointer_in, :focus_in

      # held   – Holds that are on, oldest first
      # poised – contacts whose first press is down, undecided and may become a held mode
      attr_reader :held, :poised

      # nowhere – Resolver::Spot where pointer and focus are at first; by_focus – which of both counts
      def initialize(nowhere = nil, by_focus: false)
        @held = []
        @poised = []
        @latched = nil
        @locked = nil
        @pointer_in = nowhere
        @focus_in = nowhere
        @by_focus = by_focus
      end

      # Where the pointer or the focus is, whichever the fitting follows.
      def here = @by_focus ? @focus_in : @pointer_in

      # The mode that a press takes now, and how it is kept: [id, "held", "latch" or "lock"]; nil: base.
      def effective
        return [held.last.mode, "held"] if held.any?
        return [latched, "latch"] if latched

        [locked, "lock"] if locked
      end

      # What a press (or notch) that starts a burst takes: Taken. A latch is gone with it.
      def take_mode(contact, resolver)
        if (hold = @held.last)
          Taken.new(hold.mode, hold, false)
        elsif (hold = contact.hold_then)
          # It began while that mode was held; people rarely let go in order.
          Taken.new(hold.mode, hold, true)
        elsif @latched && latch_for?(contact.button, resolver)
          latched = @latched
          @latched = nil
          Taken.new(latched, :latch, false)
        else
          @locked ? Taken.new(@locked, nil, false) : BASE
        end
      end

      # Hold one, press another: contacts of which a hold starts now, for its mode has something for the pressed button.
      def poised_for(pressed, resolver)
        ready = @poised.select { |other| other != pressed && resolver.own?(pressed.button, other.burst.choice.held_mode, here) }
        ready.sort_by { |other| [other.burst.began_us, other.index] }
      end

      # What an action that takes a mode does, when its gesture fires or its hold starts.
      def act(action, burst)
        case action["how"]
        when "held" then @held << Hold.new(action["mode"], burst.contact)
        when "latch" then latch(action["mode"], burst.origin == :latch && burst.mode == action["mode"])
        when "lock" then lock(action["mode"])
        when "clear" then clear
        end
      end

      # The mode that a contact held is over. Returns the Bursts that came from exactly this hold, in the order of
      # their buttons.
      def let_go(contact)
        ended = @held.find { |hold| hold.button == contact }
        @held.delete(ended)
        ended.followers.keys.sort_by(&:index).filter_map { |other| other.burst if other.burst&.origin.equal?(ended) }
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

      private

      # A wheel is brushed easily: a notch takes only a latch that has something for it.
      def latch_for?(button, resolver) = button.kind != "notch" || resolver.own?(button, @latched, here)
    end
  end
end
