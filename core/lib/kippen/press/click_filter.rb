# frozen_string_literal: true

module Kippen
  module Press
    # From contacts that close and open to presses: drop-outs are bridged, bounces and brushes ignored. What is a
    # press, and what was let go, goes on to the bursts.
    class ClickFilter
      def initialize(bursts, schedule, decisions, recorder)
        @bursts = bursts
        @schedule = schedule
        @decisions = decisions
        @recorder = recorder
      end

      def close(contact)
        return stray(contact) if contact.closed

        contact.closed = true
        contact.opened_us ? bridge(contact) : begin_contact(contact)
        @schedule.arm(contact)
      end

      def open(contact)
        return stray(contact) unless contact.closed

        contact.closed = false
        contact.opened_us = @schedule.now_us
        @recorder&.opened(contact, @schedule.now_us)
        release_known(contact) if contact.gap_bridge == 0
        @schedule.arm(contact)
      end

      # Notches know only the bounce guard, from the last accepted notch.
      def notch(contact)
        now = contact.began_us = @schedule.now_us
        if contact.bounces?(now)
          @recorder&.closed(contact, now)
          @decisions.ignore(contact, "bounce", now, now)
        else
          contact.bounce_ref = now
          @recorder&.notch(contact, now)
          @bursts.notch(contact)
        end
        contact.began_us = nil
      end

      # A contact has lasted as long as the brush guard asks: it is a press.
      def press_known(contact)
        contact.verdict = :press
        contact.bounce_ref = contact.began_us unless contact.bounce_from_release
        @recorder&.press_known(contact, @schedule.now_us)
        @bursts.press(contact)
      end

      # The release happened at opened_us; now nothing can bridge it any more.
      def release_known(contact)
        began = contact.began_us
        ended = contact.opened_us
        verdict = contact.verdict
        contact.bounce_ref = ended if contact.bounce_from_release
        @recorder&.release_known(contact, ended)
        contact.contact_over
        if verdict == :press
          @bursts.release(contact, ended)
        else
          @decisions.ignore(contact, verdict == :bounce ? "bounce" : "brush", began, ended)
        end
      end

      private

      def bridge(contact)
        @recorder&.bridged(contact, contact.opened_us, @schedule.now_us)
        contact.opened_us = nil
      end

      def begin_contact(contact)
        now = contact.began_us = @schedule.now_us
        contact.hold_then = contact.host.held.last
        @recorder&.closed(contact, now)
        if contact.bounces?(now)
          contact.verdict = :bounce
        elsif contact.brush_guard == 0
          press_known(contact)
        else
          contact.verdict = :pending
        end
      end

      def stray(contact) = @decisions.ignore(contact, "stray", @schedule.now_us, @schedule.now_us)
    end
  end
end
