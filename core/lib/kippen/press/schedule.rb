# frozen_string_literal: true

module Kippen
  module Press
    # What time it is for an engine, and what is due next: the contacts that have a timer, each with its
    # earliest one, in the order in which they act: time, then kind, then the fitting's order of buttons.
    # They stand last first, so that the next one is taken off the end. The cost of a step
    # grows with the logarithm of how many are waiting, not with how many buttons there are.
    class Schedule
      RELEASE_KNOWN = 0
      PRESS_KNOWN = 1
      LONG_PRESS = 2
      TAP_GAP = 3
      REPEAT = 4

      # Later than any time: no trace goes beyond 2^53 µs, no timer beyond that by minutes.
      NEVER = 2**60

      # When the next one is due, NEVER where none is.
      attr_reader :due_us

      attr_accessor :now_us

      def initialize
        @line = []
        @due_us = NEVER
        @now_us = 0
      end

      # Works out a contact's next timer anew. What became possible only now is due now.
      # One method, for it runs at every step.
      def arm(contact) # rubocop:disable Metrics
        due = nil
        if (opened = contact.opened_us)
          # In a gap: the release becomes known, unless the burst has something sooner. A burst
          # that waits is not held up by a contact that the bounce guard ignores.
          due = opened + contact.gap_bridge
          kind = RELEASE_KNOWN
          burst = contact.burst
          other = burst && contact.verdict != :pending && burst.timer_in_gap
          if other && other < due
            due = other
            kind = burst.state == :holding ? REPEAT : TAP_GAP
          end
        elsif contact.verdict == :pending
          due = contact.began_us + contact.brush_guard
          kind = PRESS_KNOWN
        elsif (burst = contact.burst)
          case burst.state
          when :first
            due = burst.began_us + contact.long_press
            kind = LONG_PRESS
          when :between, :after
            due = burst.joins_before
            kind = TAP_GAP
          when :holding
            due = burst.repeat_us
            kind = REPEAT
          end
        end
        return put(contact, due < @now_us ? @now_us : due, kind) if due

        drop(contact) if contact.due_us
      end

      # Sets a contact's timer in place of the one it had.
      def put(contact, due_us, kind)
        if contact.due_us
          return if contact.due_us == due_us && contact.due_kind == kind

          remove(contact)
        end
        contact.due_us = due_us
        contact.due_kind = kind
        last = @line.last
        if last.nil? || due_us < last.due_us || before?(contact, last)
          @line << contact
          @due_us = due_us
        else
          @line.insert(place_of(contact), contact)
        end
      end

      def drop(contact)
        remove(contact)
        contact.due_us = nil
        note_next
      end

      # Takes off and returns the contact that is next. Its due_kind says which timer it was.
      def take
        contact = @line.pop
        contact.due_us = nil
        note_next
        contact
      end

      private

      def note_next
        last = @line.last
        @due_us = last ? last.due_us : NEVER
      end

      def remove(contact)
        if @line.last.equal?(contact)
          @line.pop
        else
          @line.delete_at(place_of(contact))
        end
        note_next
      end

      # Does one act before the other?
      def before?(one, other)
        return one.due_us < other.due_us unless one.due_us == other.due_us
        return one.due_kind < other.due_kind unless one.due_kind == other.due_kind

        one.index < other.index
      end

      # Where a contact stands or would stand: before the first that acts no later.
      def place_of(contact) = @line.bsearch_index { |other| other.equal?(contact) || before?(other, contact) } || @line.size
    end
  end
end
