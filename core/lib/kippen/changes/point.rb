# frozen_string_literal: true

module Kippen
  module Changes
    # Buttons that move the pointer, in one go: all directions with the same step and repeat, at once with the
    # press, and which two others click. directions – { "up" => button, "right" => …, "down" => …, "left" =>
    # …, and the slanted ones where there are any }; clicks – { "left" => button, "right" => button }, either may
    # be missing; repeat – { "after_ms", "every_ms" } or nil
    class Point < Change.of("point", :directions, :step_px, :faster,
                            repeat: nil, clicks: {}.freeze, place: Fitting::EVERYWHERE, mode: Fitting::BASE)
      STRAIGHT = %w[up right down left].freeze

      def make(draft)
        check([*directions.values, *clicks.values].map { |ref| draft.own_button(ref) })
        directions.each do |direction, ref|
          put(draft, ref, { "gesture" => "hold", "action" => move(direction), "repeat" => repeat }.compact)
        end
        clicks.each do |button, ref|
          put(draft, ref, { "gesture" => "tap", "action" => { "kind" => "click", "button" => button } })
        end
      end

      private

      def check(buttons)
        refuse("directions", Words.say(:tap_directions)) unless (STRAIGHT - directions.keys).empty?
        refuse("directions", Words.say(:pad_double)) unless buttons.map(&:ref).uniq.size == buttons.size
        refuse("directions", Words.say(:one_host_both)) unless buttons.map(&:host).uniq.one?
      end

      def move(direction) = { "kind" => "move", "direction" => direction, "step_px" => step_px, "faster" => faster }

      # What it did by itself is not kept: a tap beside it would make the pointer wait.
      def put(draft, ref, item)
        spot = draft.speak_of(Spot.new(ref, place, mode))
        draft.rows.at(spot).each { |row| draft.rows.delete(spot, row["gesture"]) } if item["gesture"] == "hold"
        Placing.new(draft, spot).put(item, keep: false)
      end
    end
  end
end
