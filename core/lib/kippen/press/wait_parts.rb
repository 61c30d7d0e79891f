# frozen_string_literal: true

module Kippen
  module Press
    # How long an outcome waited, and for what: from the moment the person had done all of
    # the gesture until it happened, split so that the parts add up to the whole.
    class WaitParts
      # press – the last press's own length, where the wait counts from its start
      # touch – a touch that had begun and might have become a press
      # hold  – another button was held, and more was counted
      NAMES = %w[brush_guard gap_bridge press tap_gap touch hold].freeze

      # Takes a Stories::Story, one of its Rows, and the button's Timing.
      def initialize(story, row, timing)
        @story = story
        @row = row
        @timing = timing
        @at = row.outcome.at_us
      end

      # Microseconds, or nil where there is no such moment (a repeat, an end, an ignored row,
      # a hold that another button's press started).
      def total_us
        return unless %w[fire start unassigned].include?(@row.outcome.phase)

        done = done_us
        done && [@at - done, 0].max
      end

      # { name => µs }, those that are nothing left out.
      def parts
        total = total_us or return {}
        list = split(total)
        list.select { |_, us| us.positive? }
      end

      private

      def done_us
        case @row.why
        when :long_reached then @story.began_us + @timing.long_press_us
        when :let_go, :gap_over, :closed, :hold_over then single? ? @story.presses.first.ended_us : last.began_us
        when :top_reached then last.began_us
        when :press_known, :notch then @story.began_us
        end
      end

      def single? = @row.outcome.gesture == "tap"

      # The press that made the count what it is.
      def last = @story.presses[Resolver::TAPS.index(@row.outcome.gesture)]

      def split(total)
        case @row.why
        when :press_known, :top_reached then guard_then_gap(total, @timing.brush_guard_us)
        when :long_reached then guard_then_gap(total, [@timing.brush_guard_us - @timing.long_press_us, 0].max)
        when :let_go then { "gap_bridge" => total }
        when :hold_over then { "hold" => total }
        when :gap_over, :closed then counted(total)
        else {}
        end
      end

      def guard_then_gap(total, guard)
        brush = [guard, total].min
        { "brush_guard" => brush, "gap_bridge" => total - brush }
      end

      def counted(total)
        held = single? ? 0 : last.ended_us - last.began_us
        known = held + @timing.gap_bridge_us
        # Where the count was closed it may have waited in the tap gap, but not for a touch.
        gap_over = @row.why == :closed ? total : [known, gap_over_us].max
        { "press" => held, "gap_bridge" => [known, total].min - held, "tap_gap" => [gap_over, total].min - [known, total].min,
          "touch" => total - [gap_over, total].min }
      end

      # When the tap gap ends, counted from the moment all was done.
      def gap_over_us
        press = single? ? @story.presses.first : last
        from = @timing.tap_gap_from == "press" ? press.began_us : press.ended_us
        from + @timing.tap_gap_us - done_us
      end
    end
  end
end
