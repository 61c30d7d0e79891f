# frozen_string_literal: true

module Kippen
  # What a host can make of a button's presses under a timing, asked of the engine: two clicks at every pace up to its
  # double-click time, and dragging across a drop-out.
  class OwnClicks
    # So long a click of a double-click is held. Common practice, no source.
    HELD_US = [40_000, 80_000, 120_000, 200_000].freeze
    PACES = 50
    # What weak grips and worn switches give in the middle of a hold. Common practice, no source.
    DROP_US = 30_000
    AFTER_US = 500_000
    DONE = %w[fire start].freeze

    # choice – a Press::Resolver::Choice; timing – a Fitting::Timing
    def initialize(choice, timing)
      @timing = timing
      # Passed through it is down as long as it is held; else what is counted is counted.
      @gestures = choice.kind == :builtin || choice.lone_hold? ? %w[hold] : ["tap", *choice.long&.gesture]
    end

    # How much of the host's time is left to begin the second click in, at best, in µs; 0: none. ms – the host's
    def room_us(ms)
      paces = (1...PACES).map { |step| ms * 1000 * step / PACES }
      HELD_US.map { |held| paces.count { |pace| pace > held && double?(held, pace, ms) } }.max * ms * 1000 / PACES
    end

    # Does what is still held after a drop-out go on, or begin anew? Else it is taken for a bounce, for good.
    def held_on?
      drop = @timing.long_press_us + AFTER_US
      rows = play([[0, drop], [drop + DROP_US, drop + DROP_US + AFTER_US]]).select { |row| row.gesture == "hold" }
      rows.count { |row| row.phase == "start" } > rows.count { |row| row.phase == "end" && row.at_us < drop + DROP_US + AFTER_US }
    end

    private

    def double?(held, pace, ms)
      clicks = play([[0, held], [pace, pace + held]]).select { |row| DONE.include?(row.phase) && row.gesture == @gestures.first }
      clicks.size == 2 && clicks[1].at_us - clicks[0].at_us < ms * 1000
    end

    # What the engine makes of presses, [[from, to]…] in µs.
    def play(presses)
      engine = Press::Engine.new(Press::Timed.new(fitting, @timing), resolver: Press::Resolver.of(fitting))
      presses.each do |from, to|
        engine.down(from, 0)
        engine.up(to, 0)
      end
      engine.tell(presses.last[1] + 10_000_000)
      engine.take
    end

    def fitting
      @fitting ||= Fitting.read("kippen" => Fitting::FORMAT, "devices" => [{ "id" => "d", "buttons" => [{ "id" => "b" }] }],
                                "assignments" => @gestures.map { |gesture| doing_nothing(gesture) })
    end

    def doing_nothing(gesture) = { "button" => "d/b", "gesture" => gesture, "action" => { "kind" => "nothing" } }
  end
end
