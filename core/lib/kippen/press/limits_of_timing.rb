# frozen_string_literal: true

module Kippen
  module Press
    # What a timing makes impossible, or hardly possible, on a button: exact from the rules.
    #
    # A further press has to start after the bridge and the guard let it, and before the tap
    # gap is over. Both may depend on how long the press before was held; so what is worked
    # out is the range of lengths of the first press for which it can be done, and how much
    # room there is then for the next one.
    class LimitsOfTiming
      # how: "impossible" or "hardly"; reasons – tokens:
      #   "bounce_guard", "gap_bridge", "brush_guard", "long_press"
      # held_us  – [shortest, longest or nil] length of the press before for which it can be done
      # room_us  – time to begin the next press in, at best for a press of ordinary length;
      #            nil where it doesn't matter
      # gap_us   – the tap gap that it must be done in, nil where there is none
      Limit = Struct.new(:gesture, :how, :reasons, :held_us, :room_us, :gap_us, keyword_init: true) do
        # As a Finding of a button; timing – its own
        def finding(button, timing)
          Finding.new(id: "impossible", bad: how == "hardly" ? "look" : "serious", what: Words.limit(self, timing),
                      where: { "button" => button.ref, "gesture" => gesture })
        end
      end

      # Less room than this to begin the next press in, or to let go in, is hardly any; a press
      # that must be held longer than this for a second one to count is no quick double-tap.
      # Common practice, no source.
      HARDLY_ROOM_US = 100_000
      HARDLY_HELD_US = 300_000

      # Takes a Resolver::Choice and a Timing. Returns Limits, only of gestures that are assigned.
      def self.of(choice, timing) = new(choice, timing).limits

      def initialize(choice, timing)
        @choice = choice
        @timing = timing
      end

      def limits = [tap, *counts].compact

      # [shortest, longest or nil] length of a first press after which another can still count;
      # nil where there is none.
      def held_range
        low = [@timing.brush_guard_us, 1, *(bounce_from_press? && gap_from_release? ? [bounce - gap + 1] : [])].max
        high = [*(long - 1 if @choice.long), *upper_by_gap].min
        high && high < low ? nil : [low, high]
      end

      HOW = [nil, "hardly", "impossible"].freeze
      SETTINGS = { "bounce_guard" => :bounce_guard_us, "gap_bridge" => :gap_bridge_us, "brush_guard" => :brush_guard_us }.freeze

      # How bad it is for a further press: an index of HOW.
      def severity
        range = held_range or return 2
        room_us(range) < HARDLY_ROOM_US || range[0] > HARDLY_HELD_US || (range[1] && range[1] < HARDLY_ROOM_US) ? 1 : 0
      end

      # How soon after its release the next press may begin, for a press held this long.
      def soonest_us(held) = [@timing.gap_bridge_us, bounce_from_press? ? bounce - held : bounce].max

      # By when, after the release, it must have begun (exclusive).
      def latest_us(held) = gap_from_release? ? gap : gap - held

      private

      # Time to begin the next press in, at best for a press not held longer than an ordinary
      # one. It grows up to some length and shrinks beyond, so the ends of the range tell.
      def room_us(range)
        longest = [range[1], [HARDLY_HELD_US, range[0]].max].compact.min
        [range[0], longest].map { |held| latest_us(held) - soonest_us(held) }.max
      end

      def bounce = @timing.bounce_guard_us
      # Counted without hurry there is none.
      def gap = @choice.unhurried? ? Schedule::NEVER : @timing.tap_gap_us
      def long = @timing.long_press_us
      def bounce_from_press? = @timing.bounce_guard_from == "press"
      def gap_from_release? = @choice.unhurried? || @timing.tap_gap_from == "release"

      # Lengths above which the next press would begin too late, or none at all (-1).
      def upper_by_gap
        waits = [@timing.gap_bridge_us, *(bounce unless bounce_from_press?)]
        return waits.max < gap ? [] : [-1] if gap_from_release?

        [gap - waits.max - 1, *(-1 if bounce_from_press? && bounce >= gap)]
      end

      def tap
        return unless @choice.tap && @choice.long

        room = long - @timing.brush_guard_us
        return Limit.new(gesture: "tap", how: "impossible", reasons: %w[brush_guard long_press]) if room <= 0

        return unless room < HARDLY_ROOM_US

        Limit.new(gesture: "tap", how: "hardly", reasons: %w[brush_guard long_press], held_us: [@timing.brush_guard_us, long - 1])
      end

      def counts
        offered = %w[double_tap triple_tap].select { |gesture| @choice[gesture] }
        return [] if offered.empty?

        how = HOW[severity] or return []
        range = held_range
        within = { room_us: range && room_us(range), gap_us: gap } unless @choice.unhurried?
        offered.map { |gesture| Limit.new(gesture:, how:, reasons:, held_us: range, **within.to_h) }
      end

      # Those without which it would be less bad; all that are in play where none alone is to blame.
      def reasons
        playing = SETTINGS.select { |_, field| @timing[field].positive? }.keys
        playing << "long_press" if @choice.long
        blamed = playing.select { |name| without(name).severity < severity }
        blamed.empty? ? playing : blamed
      end

      def without(name)
        return self.class.new(@choice, Fitting::Timing.new(**@timing.to_h, SETTINGS.fetch(name) => 0)) if name != "long_press"

        choice = @choice.dup
        choice.long = nil
        self.class.new(choice, @timing)
      end
    end
  end
end
