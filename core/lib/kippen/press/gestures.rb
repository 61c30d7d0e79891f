# frozen_string_literal: true

module Kippen
  module Press
    # What presses that are known become: the part of the engine that counts,
    # waits and decides. Each method is one event; `case` says what it means in
    # every state of a burst in which it can happen.
    module Gestures
      private

      def joined_or_new(contact)
        burst = contact.burst
        return start_burst(contact) unless burst

        burst.last_start_us = contact.began_us
        case burst.state
        when :between then count_further(contact, burst)
        when :after then burst.state = :beyond
        end
      end

      def start_burst(contact)
        mode, origin, closed = mode_for(contact)
        spot = here(contact.host)
        choice = @resolver.choice(contact.button, mode, spot)
        burst = contact.burst = Burst.new(choice, mode, origin, contact.began_us, closed, spot)
        origin.followers[contact] = true if origin && origin != :latch
        @recorder&.burst(contact, burst)
        begin_burst(contact, burst, choice)
      end

      def begin_burst(contact, burst, choice)
        if choice.kind == :assigned
          first_press(contact, burst, choice)
        elsif choice.kind == :builtin
          burst.state = :through
          say(contact, "builtin", "start", burst, nil, :press_known)
        else
          burst.state = :spent
          say(contact, "builtin", "unassigned", burst, nil, :press_known)
        end
      end

      def first_press(contact, burst, choice)
        if choice.lone_hold?
          hold_on(contact, burst, :press_known)
        elsif choice.long
          burst.state = :first
          contact.host.poised << contact if choice.held_mode
        elsif choice.top == 1
          burst.state = :spent
          fire(contact, burst, choice.tap, :press_known)
        else
          burst.state = :counting
          tap_at_once(contact, burst, :press_known)
        end
      end

      def tap_at_once(contact, burst, why)
        return unless burst.choice.tap&.at_once

        burst.told = true
        fire(contact, burst, burst.choice.tap, why)
      end

      def count_further(contact, burst)
        burst.count += 1
        if burst.count < burst.choice.top
          burst.state = :counting
        else
          burst.state = :full
          decide(contact, burst, :top_reached) unless burst.unhurried
        end
      end

      # The press that began at +began+ was let go at +ended+, and this is known now.
      def let_go(contact, began, ended)
        burst = contact.burst
        burst.last_release_us = ended
        case burst.state
        when :through
          say(contact, "builtin", "end", burst, nil, :let_go)
          over(contact)
        when :spent then over(contact)
        when :holding then end_hold(contact, burst)
        when :first then let_go_first(contact, burst)
        when :counting then wait_for_more(contact, burst)
        when :full then wait_beyond(contact, burst)
        when :beyond
          ignore(contact, "beyond", began, ended)
          wait_beyond(contact, burst)
        end
      end

      def let_go_first(contact, burst)
        contact.host.poised.delete(contact)
        return decide_last(contact, burst, :let_go) if burst.choice.top <= 1

        tap_at_once(contact, burst, :let_go)
        wait_for_more(contact, burst)
      end

      def wait_for_more(contact, burst)
        burst.state = :between
        count_over(contact) if burst.closed
      end

      def wait_beyond(contact, burst)
        burst.state = :after
        count_over(contact) if burst.closed
      end

      # Nobody pressed again in time, or nothing more is waited for. What reached the top has happened already, but
      # where it was counted without hurry.
      def count_over(contact)
        burst = contact.burst
        return decide_last(contact, burst, :hold_over) if burst.unhurried
        return over(contact) unless burst.state == :between

        decide_last(contact, burst, burst.closed ? :closed : :gap_over)
      end

      # The gesture of the count so far.
      def decide(contact, burst, why)
        return if burst.told && burst.count == 1

        assignment = burst.choice.counted(burst.count)
        return fire(contact, burst, assignment, why) if assignment

        say(contact, Resolver::TAPS[burst.count - 1], "unassigned", burst, nil, why)
      end

      def become_long(contact)
        burst = contact.burst
        contact.host.poised.delete(contact)
        if burst.choice.long.gesture == "hold"
          hold_on(contact, burst, :long_reached)
        else
          burst.state = :holding
          plan_repeat(burst, burst.choice.long)
          fire(contact, burst, burst.choice.long, :long_reached)
        end
      end

      def hold_on(contact, burst, why)
        burst.state = :holding
        plan_repeat(burst, burst.choice.long)
        say(contact, "hold", "start", burst, burst.choice.long, why)
        act(contact, burst, burst.choice.long)
      end

      def plan_repeat(burst, assignment)
        burst.repeat_us = @now_us + assignment.repeat.after_us if assignment.repeat
      end

      # One that falls into an open gap is left out.
      def repeat(contact)
        burst = contact.burst
        long = burst.choice.long
        say(contact, long.gesture, "repeat", burst, long, :repeat_due) unless contact.opened_us
        burst.repeats += 1
        burst.repeat_us = burst.repeats < Limits::REPEATS ? burst.repeat_us + long.repeat.every_us : nil
      end

      def end_hold(contact, burst)
        long = burst.choice.long
        say(contact, "hold", "end", burst, long, :let_go) if long.gesture == "hold"
        over(contact)
        hold_ended(contact) if long.held_mode
      end

      def notch_known(contact)
        contact.began_us = @now_us
        mode, origin, = mode_for(contact)
        spot = here(contact.host)
        choice = @resolver.choice(contact.button, mode, spot)
        burst = Burst.new(choice, mode, origin, @now_us, false, spot)
        @recorder&.burst(contact, burst)
        contact.began_us = nil
        case choice.kind
        when :assigned then fire(contact, burst, choice.tap, :notch)
        when :builtin then say(contact, "builtin", "fire", burst, nil, :notch)
        when :blocked then say(contact, "builtin", "unassigned", burst, nil, :notch)
        end
        @recorder&.over(contact, burst)
      end

      def fire(contact, burst, assignment, why)
        say(contact, assignment.gesture, "fire", burst, assignment, why)
        act(contact, burst, assignment)
      end

      def say(contact, gesture, phase, burst, assignment, why)
        outcome = Outcome.new(@now_us, contact.button.ref, gesture, phase, burst.began_us, burst.mode,
                              assignment&.place, assignment&.action)
        @outcomes << outcome
        @recorder&.decided(contact, burst, outcome, why)
      end

      # The gesture of the count so far, and the burst is over.
      def decide_last(contact, burst, why)
        decide(contact, burst, why)
        over(contact)
      end

      def over(contact)
        burst = contact.burst
        contact.burst = nil
        @recorder&.over(contact, burst)
      end
    end
  end
end
