# frozen_string_literal: true

module Kippen
  class Fitting
    # Changes to a fitting. Each takes a valid Fitting and returns a new one,
    # validated whole; members it doesn't know are carried along. Raises Invalid.
    module Edit
      KEPT_TAP = { "gesture" => "tap", "action" => { "kind" => "builtin" } }.freeze
      Spot = Struct.new(:button, :place, :mode) do
        def at?(item)
          item["button"] == button && item.fetch("place", EVERYWHERE) == place && item.fetch("mode", BASE) == mode
        end

        def to_h
          spot = { "button" => button }
          spot["place"] = place unless place == EVERYWHERE
          spot["mode"] = mode unless mode == BASE
          spot
        end
      end

      # Puts an action on a gesture, in place of what was there. An untouched button
      # keeps its tap: what it did by itself becomes the tap beside the new gesture.
      def self.assign(fitting, button:, gesture:, action:, place: EVERYWHERE, mode: BASE)
        spot = Spot.new(button, place, mode)
        list = assignments(fitting).reject { |item| spot.at?(item) && same_stretch?(item["gesture"], gesture) }
        list << spot.to_h.merge(KEPT_TAP) if gesture != "tap" && untouched?(fitting, spot)
        list << spot.to_h.merge("gesture" => gesture, "action" => action)
        fitting.with("assignments" => list)
      end

      # Takes an action off a gesture. Where only the kept tap would be left, the
      # button is untouched again.
      def self.clear(fitting, button:, gesture:, place: EVERYWHERE, mode: BASE)
        spot = Spot.new(button, place, mode)
        gone, list = assignments(fitting).partition { |item| spot.at?(item) && item["gesture"] == gesture }
        raise Invalid.at("/assignments", "no #{gesture} is assigned to #{button} there") if gone.empty?

        here = list.select { |item| spot.at?(item) }
        list -= here if here.size == 1 && kept_tap?(here.first)
        fitting.with("assignments" => list)
      end

      # Switches an assignment off, which keeps it, or on again.
      def self.switch(fitting, button:, gesture:, off:, place: EVERYWHERE, mode: BASE)
        spot = Spot.new(button, place, mode)
        list = assignments(fitting)
        index = list.index { |item| spot.at?(item) && item["gesture"] == gesture }
        raise Invalid.at("/assignments", "no #{gesture} is assigned to #{button} there") unless index

        list[index] = off ? list[index].merge("off" => true) : list[index].except("off")
        fitting.with("assignments" => list)
      end

      # Sets one timing value of one button. setting – a name of Timing::SETTINGS.
      def self.set_timing(fitting, button:, setting:, value:)
        raise Invalid.at("/setting", "unknown setting #{Faults.show(setting)}") unless Timing::SETTINGS.key?(setting)

        all = fitting.document.fetch("button_timing", {})
        fitting.with("button_timing" => all.merge(button => all.fetch(button, {}).merge(setting => value)))
      end

      def self.assignments(fitting) = fitting.list("assignments").dup

      # hold and long_press share the stretch of a held press.
      def self.same_stretch?(one, other)
        one == other || ([one, other] - Press::Resolver::LONGS).empty?
      end

      def self.untouched?(fitting, spot)
        button = fitting.button(spot.button) or return false
        resolver = Press::Resolver.new(fitting)
        choice = resolver.choice(button, spot.mode, resolver.spot(where(fitting, spot.place)))
        choice.kind == :builtin && button.kind != "notch" && assignments(fitting).none? { |item| spot.at?(item) && item["gesture"] == "tap" }
      end

      # A place as pointer_in and focus_in tell it.
      def self.where(fitting, place_id)
        place = fitting.place(place_id)
        place ? [place.app, place.part].compact.join("/") : ""
      end

      def self.kept_tap?(item) = item["gesture"] == "tap" && item.dig("action", "kind") == "builtin" && !item["at_once"] && !item["off"]
      private_class_method :assignments, :same_stretch?, :untouched?, :kept_tap?
    end
  end
end
