# frozen_string_literal: true

module Kippen
  module Pointer
    # The steps of a held button: the first as the press counts, the next after a delay, then one an
    # interval, each as far as the acceleration says.
    #
    # Acceleration is that of the X Keyboard Extension's mouse keys (XKB Library, 10.5.2): the step of
    # number n moves  delta × most / over^c × n^c  with c = 1 + curve / 1000, from step +over+ on
    # delta × most, counted from the first that repeats; rounded away from nought, as the X server does.
    class Steps
      # A frame's worth of steps is more than anybody waits for.
      MOST = 10_000

      # delta_px – of one step; after_ms – from the press to the second, every_ms – from then on; none: it
      # does not repeat. most – so many deltas a step at the end, 1: no acceleration; over – steps until
      # then; curve – -1000 to 1000, in parts of a thousand; begins_ms – from the press to the first step
      def initialize(delta_px:, after_ms: nil, every_ms: nil, most: 1, over: 1, curve: 0, begins_ms: 0)
        @delta = delta_px
        @after = after_ms
        @every = every_ms
        @most = most
        @over = over
        @power = 1 + (curve / 1000.0)
        @begins = begins_ms
        freeze
      end

      # px of the step of a number, from 1. The one at the press is not accelerated: those that repeat are counted.
      def px(number)
        repeat = number - 1
        return @delta if @most == 1 || repeat.zero?
        return @delta * @most if repeat >= @over

        (@delta * @most / (@over**@power) * (repeat**@power)).round(9).ceil
      end

      # The moment of the step of a number, ms after the press; nil where it doesn't come.
      def at_ms(number)
        return @begins if number == 1

        @every && (@begins + @after + ((number - 2) * @every))
      end

      # [[ms, px so far]…] until a time or a distance is reached.
      def curve(until_ms: Float::INFINITY, until_px: Float::INFINITY)
        gone = 0
        (1..MOST).each_with_object([]) do |number, found|
          at = at_ms(number)
          return found if at.nil? || at > until_ms || gone >= until_px

          found << [at, gone += px(number)]
        end
      end

      # ms from the press until a distance is behind it; nil where it never is.
      def time_for(distance_px) = curve(until_px: distance_px).last&.then { |at, gone| at if gone >= distance_px }

      # px that it runs on where the button is let go +late_ms+ after it should have been, at a time.
      def runs_on(at_ms, late_ms)
        before = curve(until_ms: at_ms).last&.last || 0
        (curve(until_ms: at_ms + late_ms).last&.last || 0) - before
      end
    end
  end
end
