# frozen_string_literal: true

module Kippen
  module Press
    # What is due next. At most one entry a button: the earliest of its timers.
    #
    # An entry is one Integer, (due, kind, button) in that order of weight, so that
    # comparing two entries compares time first, then kind, then the fitting's order.
    # The entries stand sorted, latest first, so that the next one is taken off the end.
    class Schedule
      RELEASE_KNOWN = 0
      PRESS_KNOWN = 1
      LONG_PRESS = 2
      TAP_GAP = 3
      REPEAT = 4
      KINDS = 5

      def initialize(buttons)
        @buttons = [buttons, 1].max
        @span = @buttons * KINDS
        @entries = []
      end

      # due_us in whole microseconds, kind one of the above, button its index.
      def entry(due_us, kind, button) = (due_us * @span) + (kind * @buttons) + button

      def add(entry)
        last = @entries.last
        return @entries << entry if last.nil? || entry < last

        @entries.insert(place_of(entry), entry)
      end

      def remove(entry)
        return @entries.pop if @entries.last == entry

        @entries.delete_at(place_of(entry))
      end

      # Takes off and returns the button of the next entry due at or before the time, or nil.
      def take_due(time_us)
        last = @entries.last
        return if last.nil? || last >= (time_us + 1) * @span

        @entries.pop % @buttons
      end

      # When the next entry is due, in microseconds, or nil.
      def next_us = @entries.empty? ? nil : @entries.last / @span

      private

      def place_of(entry) = @entries.bsearch_index { |other| other <= entry } || @entries.size
    end
  end
end
