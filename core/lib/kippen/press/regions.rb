# frozen_string_literal: true

module Kippen
  module Press
    # What a press becomes by how long it is held, and by how long after it the next one follows.
    module Regions
      # stretch "held" runs from pressing, "apart" from letting go; to_us nil: without end.
      # kind: "ignored", "counts", "long" on held; "bridged", "ignored", "joins", "new" on apart
      Region = Struct.new(:stretch, :kind, :from_us, :to_us)

      module_function

      # timing – a Fitting::Timing; unhurried – a further press joins at any pace, for as long as the other is held.
      # Returns [Region], one after the other on each stretch.
      def of(timing, unhurried: false) = held(timing) + apart(timing, unhurried)

      def held(timing)
        brush = timing.brush_guard_us
        long = [timing.long_press_us, brush].max
        list = []
        list << Region.new("held", "ignored", 0, brush) if brush.positive?
        list << Region.new("held", "counts", brush, long) if long > brush
        list << Region.new("held", "long", long, nil)
      end

      def apart(timing, unhurried)
        from = 0
        list = []
        add = lambda do |kind, to|
          list << Region.new("apart", kind, from, to) if to > from
          from = [from, to].max
        end
        add.call("bridged", timing.gap_bridge_us)
        add.call("ignored", timing.bounce_guard_us) unless timing.bounce_guard_from == "press"
        return list << Region.new("apart", "joins", from, nil) if unhurried

        add.call("joins", timing.tap_gap_us) unless timing.tap_gap_from == "press"
        list << Region.new("apart", "new", from, nil)
      end
      private_class_method :held, :apart
    end
  end
end
