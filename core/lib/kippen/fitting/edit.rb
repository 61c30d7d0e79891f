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
      # keeps its tap: what it did by itself becomes the tap beside the new gesture (keep:
      # false – it doesn't).
      # repeat – { "after_ms", "every_ms" } or nil
      # at_once – does the tap of this spot wait for a count (false) or not (true); nil: as it was
      def self.assign(fitting, button:, gesture:, action:, place: EVERYWHERE, mode: BASE, repeat: nil, at_once: nil, keep: true)
        spot = Spot.new(button, place, mode)
        gone, list = assignments(fitting).partition { |item| spot.at?(item) && same_stretch?(item["gesture"], gesture) }
        at_once = gone.any? { |item| item["at_once"] } if at_once.nil? && gesture == "tap"
        list << spot.to_h.merge(KEPT_TAP) if keep && gesture != "tap" && untouched?(fitting, spot)
        list << spot.to_h.merge({ "gesture" => gesture, "action" => action, "repeat" => repeat }.compact)
        fitting.with("assignments" => at_once.nil? ? list : with_at_once(list, spot, at_once))
      end

      # Takes an action off a gesture. Where only the kept tap would be left, the
      # button is untouched again.
      def self.clear(fitting, button:, gesture:, place: EVERYWHERE, mode: BASE)
        spot = Spot.new(button, place, mode)
        list = assignments(fitting)
        list.delete_at(find(list, spot, gesture))
        here = list.select { |item| spot.at?(item) }
        list -= here if here.size == 1 && kept_tap?(here.first)
        fitting.with("assignments" => list)
      end

      # Switches an assignment off, which keeps it, or on again.
      def self.switch(fitting, button:, gesture:, off:, place: EVERYWHERE, mode: BASE)
        list = assignments(fitting)
        index = find(list, Spot.new(button, place, mode), gesture)
        list[index] = off ? list[index].merge("off" => true) : list[index].except("off")
        fitting.with("assignments" => list)
      end

      # Lets the tap of a spot act at once, or wait for a second one.
      def self.tap_at_once(fitting, button:, at_once:, place: EVERYWHERE, mode: BASE)
        spot = Spot.new(button, place, mode)
        list = assignments(fitting)
        find(list, spot, "tap")
        fitting.with("assignments" => with_at_once(list, spot, at_once))
      end

      # Carries what is on a gesture to another, of this button or another one; it displaces what
      # is there. copy – it also stays where it is. to – { "button", "gesture" } in the same place and mode
      def self.carry(fitting, button:, gesture:, to:, copy:, place: EVERYWHERE, mode: BASE)
        list = assignments(fitting)
        item = list[find(list, Spot.new(button, place, mode), gesture)]
        raise Invalid.at("/change/to", "it is there already") if [button, gesture] == to.values_at("button", "gesture")

        left = copy ? fitting : clear(fitting, button:, gesture:, place:, mode:)
        repeat = item["repeat"] if AssignmentReader::CAN_REPEAT.include?(to["gesture"])
        assign(left, button: to["button"], gesture: to["gesture"], action: item["action"], place:, mode:, repeat:)
      end

      # Sets one timing value of one button. setting – a name of Timing::SETTINGS.
      def self.set_timing(fitting, button:, setting:, value:)
        raise Invalid.at("/setting", "unknown setting #{Faults.show(setting)}") unless Timing::SETTINGS.key?(setting)

        all = fitting.document.fetch("button_timing", {})
        fitting.with("button_timing" => all.merge(button => all.fetch(button, {}).merge(setting => value)))
      end

      # What is assigned to some buttons, and whether they and their devices are off, becomes again
      # what it was in an earlier state; all else stays. What was assigned in a place or mode that
      # is there no more does not come back.
      def self.as_before(fitting, earlier, refs)
        now = fitting.list("assignments").reject { |item| refs.include?(item["button"]) }
        back = earlier.list("assignments").select { |item| refs.include?(item["button"]) && stands?(fitting, item) }
        fitting.with("assignments" => now + back, "devices" => fitting.list("devices").map { |item| off_as_before(item, earlier, refs) })
      end

      def self.off_as_before(item, earlier, refs)
        was = earlier.list("devices").find { |device| device["id"] == item["id"] }
        buttons = item.fetch("buttons", [])
        return item unless was && buttons.any? { |button| refs.include?("#{item["id"]}/#{button["id"]}") }

        back = buttons.map do |button|
          old = was.fetch("buttons", []).find { |one| one["id"] == button["id"] }
          old && refs.include?("#{item["id"]}/#{button["id"]}") ? with_off(button, old["off"]) : button
        end
        with_off(item, was["off"]).merge("buttons" => back)
      end

      def self.with_off(item, off) = off ? item.merge("off" => true) : item.except("off")

      # Is there everything that an assignment names?
      def self.stands?(fitting, item)
        fitting.button(item["button"]) && [EVERYWHERE, *fitting.places.map(&:id)].include?(item.fetch("place", EVERYWHERE)) &&
          [BASE, *fitting.modes.map(&:id)].include?(item.fetch("mode", BASE))
      end

      def self.assignments(fitting) = fitting.list("assignments").dup

      # The index of an assignment. Raises Invalid where there is none.
      def self.find(list, spot, gesture)
        list.index { |item| spot.at?(item) && item["gesture"] == gesture } ||
          raise(Invalid.at("/assignments", "no #{gesture} is assigned to #{spot.button} there"))
      end

      def self.with_at_once(list, spot, at_once)
        list.map do |item|
          next item unless spot.at?(item) && item["gesture"] == "tap"

          at_once ? item.merge("at_once" => true) : item.except("at_once")
        end
      end

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

      def self.kept_tap?(item) = item["gesture"] == "tap" && item.dig("action", "kind") == "builtin" && !item["off"]
      private_class_method :assignments, :find, :off_as_before, :with_off, :stands?, :with_at_once, :same_stretch?, :untouched?, :kept_tap?
    end
  end
end
