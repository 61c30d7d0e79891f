# frozen_string_literal: true

module Kippen
  module Press
    # The modes of a host: which one a press takes, and what taking one does.
    module Modes
      private

      # Where the host's pointer or focus is, whichever the fitting follows.
      def here(host) = @follow_focus ? host.focus_in : host.pointer_in

      # For a press (or notch) that starts a burst: [mode, origin, closed].
      def mode_for(contact)
        host = contact.host
        start_poised(contact, host) unless host.poised.empty?
        if (hold = host.held.last)
          [hold.mode, hold, false]
        elsif (hold = contact.hold_then)
          # It began while that mode was held; people rarely let go in order.
          [hold.mode, hold, true]
        elsif takes_latch?(contact, host)
          [take_latch(host), :latch, false]
        else
          [host.locked || Fitting::BASE, nil, false]
        end
      end

      # A wheel is brushed easily: a notch takes only a latch that has something for it.
      def takes_latch?(contact, host)
        return false unless host.latched

        contact.button.kind != "notch" || @resolver.own?(contact.button, host.latched, here(host))
      end

      def take_latch(host)
        mode = host.latched
        host.latched = nil
        mode
      end

      # Hold one, press another: holds that have something for the pressed button start now.
      def start_poised(pressed, host)
        ready = host.poised.select do |other|
          other != pressed && @resolver.own?(pressed.button, other.burst.choice.held_mode, here(host))
        end
        ready.sort_by { |other| [other.burst.began_us, other.index] }.each do |other|
          host.poised.delete(other)
          hold_on(other, other.burst, :other_pressed)
          arm(other)
        end
      end

      # What an action does to the host's modes, when its gesture fires or its hold starts.
      def act(contact, burst, assignment)
        return unless assignment.mode_action?

        action = assignment.action
        host = contact.host
        case action["how"]
        when "held" then host.held << HostState::Hold.new(action["mode"], contact)
        when "latch" then host.latch(action["mode"], burst.origin == :latch && burst.mode == action["mode"])
        when "lock" then host.lock(action["mode"])
        when "clear" then host.clear
        end
      end

      # A held mode ends: bursts that came from exactly this hold wait for nothing more.
      def hold_ended(contact)
        host = contact.host
        ended = host.held.find { |hold| hold.button == contact }
        host.held.delete(ended)
        ended.followers.keys.sort_by(&:index).each { |other| close_burst(other) if other.burst&.origin.equal?(ended) }
      end

      def close_burst(contact)
        burst = contact.burst
        burst.closed = true
        count_over(contact) if %i[between after].include?(burst.state) && !contact.touch_pending?
        arm(contact)
      end
    end
  end
end
