# frozen_string_literal: true

module Kippen
  module Server
    # Lanes as the JSON of the contract.
    class RenderLanes
      def initialize(fitting)
        @fitting = fitting
        @cautions = Cautions.new(fitting, KINDS, CATALOGUE)
      end

      def lane(lane)
        { "button" => Render.button(lane.button), "regions" => lane.regions.map { |region| region(region) },
          "chips" => lane.chips.map { |chip| chip(lane, chip) }, "empties" => lane.empties.map { |empty| empty(empty) },
          "boundaries" => lane.boundaries.map { |boundary| boundary(boundary) }, "limits" => lane.limits.map { |limit| limit(lane, limit) },
          "cautions" => cautions(lane).map { |one| one.to_h.transform_keys(&:to_s) }, "tap_choice" => tap_choice(lane) }
      end

      private

      def region(region)
        { "stretch" => region.stretch, "kind" => region.kind, "from_us" => region.from_us, "to_us" => region.to_us }
      end

      def chip(lane, chip)
        { "gesture" => chip.gesture, "gesture_name" => Words::GESTURES.fetch(chip.gesture), "stretch" => chip.stretch,
          "origin" => chip.origin, "place" => chip.place, "mode" => chip.mode, "off" => chip.off, "action" => chip.action,
          "name" => CATALOGUE.name(chip.action, lane.button.builtin), "kept" => chip.action.nil? || chip.action["kind"] == "builtin",
          "app" => CATALOGUE.app_name(chip.action), "wait" => chip.wait && Words.wait(chip.wait, lane.timing) }
      end

      def empty(empty)
        { "gesture" => empty.gesture, "gesture_name" => Words::GESTURES.fetch(empty.gesture), "stretch" => empty.stretch,
          "costs" => empty.costs.filter_map { |gesture, before, after| Words.cost(gesture, before, after) } }
      end

      def boundary(boundary)
        { "setting" => boundary.setting, "stretch" => boundary.stretch, "value_ms" => milliseconds(boundary.value_us),
          "from_ms" => milliseconds(boundary.from_us), "to_ms" => milliseconds(boundary.to_us) }
      end

      # Whole where it is whole, else with its decimals.
      def milliseconds(microseconds) = (microseconds % 1000).zero? ? microseconds / 1000 : microseconds / 1000.0

      def limit(lane, limit)
        { "gesture" => limit.gesture, "how" => limit.how, "words" => Words.limit(limit, lane.timing) }
      end

      def cautions(lane)
        tap = lane.choice.tap
        [*@cautions.of(lane.button), tap && @cautions.print(lane.button, tap.action)].compact
      end

      def tap_choice(lane)
        choice = lane.tap_choice or return
        { "chosen" => choice.chosen, "waits" => Words.tap_waits(choice, lane.timing),
          "at_once" => Words.tap_at_once(choice, lane.timing), "only" => only_at_once(lane) }
      end

      # What the device does by itself can't be made to wait.
      def only_at_once(lane)
        return if @cautions.held_back?(lane.button) || lane.choice.tap.action["kind"] != "builtin"

        "The device does it at once, whatever is set."
      end
    end
  end
end
