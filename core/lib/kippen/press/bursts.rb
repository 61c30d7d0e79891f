# frozen_string_literal: true

module Kippen
  module Press
    # What presses that are known become: counts, waits and decides, by BurstTable.
    class Bursts
      # Something happened in a state in which it can't.
      class Impossible < Error; end

      include BurstTable

      def initialize(resolver, schedule, decisions, recorder)
        @resolver = resolver
        @schedule = schedule
        @decisions = decisions
        @recorder = recorder
      end

      # A press on a contact is known: it joins the burst that waits there, or starts one.
      def press(contact)
        burst = contact.burst
        return start(contact) unless burst

        burst.last_start_us = contact.began_us
        on_press(burst)
      end

      # The press on a contact was let go at +ended_us+, and this is known now.
      def release(contact, ended_us)
        contact.burst.last_release_us = ended_us
        on_release(contact.burst)
      end

      # A press of no length: decided at once.
      def notch(contact)
        burst = taken(contact)
        case burst.choice.kind
        when :assigned then fire(burst, burst.choice.tap, :notch)
        when :builtin then @decisions.builtin(burst, "fire", :notch)
        when :blocked then @decisions.unassigned(burst, "builtin", :notch)
        end
        @recorder&.over(contact)
      end

      private

      def impossible(burst) = raise(Impossible, Words.say(:cant_happen_in_burst, state: burst.state))
      def go_on(_burst) = nil

      # --- it begins ----------------------------------------------------------

      def taken(contact)
        host = contact.host
        start_poised(contact, host) unless host.poised.empty?
        taken = host.take_mode(contact, @resolver)
        spot = host.here
        burst = Burst.new(contact, taken, @resolver.choice(contact.button, taken.mode, spot), spot)
        @recorder&.burst(contact, burst)
        burst
      end

      def start(contact)
        burst = contact.burst = taken(contact)
        burst.hold&.followers&.store(contact, true)
        case burst.choice.kind
        when :assigned then first_press(burst, burst.choice)
        when :builtin
          burst.state = :through
          @decisions.builtin(burst, "start", :press_known)
        else
          burst.state = :spent
          @decisions.unassigned(burst, "builtin", :press_known)
        end
      end

      def first_press(burst, choice)
        if choice.lone_hold?
          hold_on(burst, :press_known)
        elsif choice.long
          burst.state = :first
          burst.contact.host.poised << burst.contact if choice.held_mode
        elsif choice.top == 1
          burst.state = :spent
          fire(burst, choice.tap, :press_known)
        else
          burst.state = :counting
          tap_at_once(burst, :press_known)
        end
      end

      # Hold one, press another.
      def start_poised(pressed, host)
        host.poised_for(pressed, @resolver).each do |other|
          host.poised.delete(other)
          hold_on(other.burst, :other_pressed)
          @schedule.arm(other)
        end
      end

      # --- it is counted ------------------------------------------------------

      def tap_at_once(burst, why)
        return unless burst.choice.tap&.at_once

        burst.tap_done = true
        fire(burst, burst.choice.tap, why)
      end

      def count_further(burst)
        burst.count += 1
        if burst.count < burst.choice.top
          burst.state = :counting
        else
          burst.state = :full
          decide(burst, :top_reached) unless burst.unhurried
        end
      end

      def go_beyond(burst) = burst.state = :beyond

      def let_go_short(burst)
        burst.contact.host.poised.delete(burst.contact)
        return decide_last(burst, :let_go) if burst.choice.top <= 1

        tap_at_once(burst, :let_go)
        wait_for_more(burst)
      end

      def wait_for_more(burst)
        burst.state = :between
        on_gap(burst) if burst.closed
      end

      def wait_beyond(burst)
        burst.state = :after
        on_gap(burst) if burst.closed
      end

      def swallow(burst)
        @decisions.ignore(burst.contact, "beyond", burst.last_start_us, burst.last_release_us)
        wait_beyond(burst)
      end

      # A touch that has begun and isn't known to be a press yet is waited for.
      def wait_no_more(burst)
        on_gap(burst) unless burst.contact.touch_pending?
      end

      # --- it is decided ------------------------------------------------------

      def decide_count(burst)
        why = burst.closed ? :closed : :gap_over
        decide_last(burst, burst.unhurried ? :hold_over : why)
      end

      # What reached the top has happened already, but where it was counted without hurry.
      def end_count(burst) = burst.unhurried ? decide_last(burst, :hold_over) : over(burst)

      # The gesture of the count so far.
      def decide(burst, why)
        return if burst.tap_done && burst.count == 1

        assignment = burst.choice.counted(burst.count)
        return fire(burst, assignment, why) if assignment

        @decisions.unassigned(burst, Resolver::TAPS[burst.count - 1], why)
      end

      def decide_last(burst, why)
        decide(burst, why)
        over(burst)
      end

      def end_builtin(burst)
        @decisions.builtin(burst, "end", :let_go)
        over(burst)
      end

      def over(burst)
        burst.contact.burst = nil
        @recorder&.over(burst.contact)
      end

      # --- it is long ---------------------------------------------------------

      def become_long(burst)
        burst.contact.host.poised.delete(burst.contact)
        long = burst.choice.long
        return hold_on(burst, :long_reached) if long.gesture == "hold"

        burst.state = :holding
        plan_repeat(burst, long)
        fire(burst, long, :long_reached)
      end

      def hold_on(burst, why)
        burst.state = :holding
        plan_repeat(burst, burst.choice.long)
        @decisions.hold(burst, "start", why)
        act(burst, burst.choice.long)
      end

      def plan_repeat(burst, assignment)
        burst.repeat_us = @schedule.now_us + assignment.repeat.after_us if assignment.repeat
      end

      # One that falls into an open gap is left out.
      def repeat(burst)
        @decisions.hold(burst, "repeat", :repeat_due) unless burst.contact.opened_us
        burst.repeats += 1
        burst.repeat_us = burst.repeats < Limits::REPEATS ? burst.repeat_us + burst.choice.long.repeat.every_us : nil
      end

      def end_hold(burst)
        long = burst.choice.long
        @decisions.hold(burst, "end", :let_go) if long.gesture == "hold"
        over(burst)
        free(burst.contact) if long.held_mode
      end

      # Bursts whose mode came from this hold wait for nothing more.
      def free(contact)
        contact.host.let_go(contact).each do |burst|
          burst.closed = true
          on_freed(burst)
          @schedule.arm(burst.contact)
        end
      end

      # --- what it does -------------------------------------------------------

      def fire(burst, assignment, why)
        @decisions.fire(burst, assignment, why)
        act(burst, assignment)
      end

      def act(burst, assignment)
        burst.contact.host.act(assignment.action, burst) if assignment.mode_action?
      end
    end
  end
end
