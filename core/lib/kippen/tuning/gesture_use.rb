# frozen_string_literal: true

module Kippen
  module Tuning
    # How often the client's wants use each gesture of a button, and what a wrong one costs.
    class GestureUse
      # So much more a press weighs in a fit where a wrong one costs that; invented.
      WEIGHTS = { "nothing" => 1, "nuisance" => 1, "serious" => 2, "dangerous" => 4 }.freeze
      # What goes through to the host by a tap.
      CLICK = { "tap" => "click" }.freeze

      def initialize(fitting, knowledge, button, offered)
        @offered = offered
        wants = Reach::Wants.of(fitting, knowledge)
        served = fitting.wants.flat_map do |want|
          wants.ways(want).select { |way| way.button.ref == button.ref }.map { |way| [named(way.gesture), want] }
        end
        @served = served.uniq.group_by(&:first).transform_values { |list| list.map(&:last) }
      end

      # { gesture => times a day } of all that are offered, or nil where that isn't known of each.
      def times
        known = @offered.to_h { |gesture| [gesture, @served.fetch(gesture, []).sum { |want| want.times_a_day || 0 }] }
        known.values.all?(&:positive?) ? known : nil
      end

      # Of a trial of a sort. While resting anything might come about, so it weighs as the dearest.
      def weight(intended)
        wants = STILL.include?(intended) ? @served.values.flatten : @served.fetch(intended, [])
        wants.map { |want| WEIGHTS.fetch(want.wrong, 1) }.max || 1
      end

      private

      def named(gesture)
        return CLICK.fetch(gesture, gesture) if @offered.include?("click")

        gesture == "hold" ? "long_press" : gesture
      end
    end
  end
end
