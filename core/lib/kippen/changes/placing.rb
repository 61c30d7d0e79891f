# frozen_string_literal: true

module Kippen
  module Changes
    # A spot of a draft, of which something is put on a gesture or taken off: the same for every change that does so.
    # What can't be is barred, what a button did by itself is kept.
    class Placing
      KEPT_TAP = { "gesture" => "tap", "action" => { "kind" => "builtin" } }.freeze
      # They share the stretch of a held press.
      OTHER_LONG = { "long_press" => "hold", "hold" => "long_press" }.freeze

      def initialize(draft, spot)
        @draft = draft
        @spot = spot
      end

      # item – an assignment without its spot; in place of what is on that gesture. keep – what an
      # untouched button did by itself becomes the tap beside it; what can't be held back always does.
      # at_once – of the spot's tap, nil: as it was. Raises Invalid.
      def put(item, keep: true, at_once: nil)
        button = @draft.button(@spot.button)
        @draft.cautions.bar(button, @spot.members.merge(item))
        held_back = @draft.cautions.held_back?(button)
        keep_tap(held_back) if item["gesture"] != "tap" && (keep || !held_back) && untouched?(button)
        rows.delete(@spot, OTHER_LONG[item["gesture"]])
        rows.put(@spot.members.merge(fitting_members(item)))
        act_at_once(at_once) unless at_once.nil?
        at_once_anyway unless held_back
      end

      # Takes an action off a gesture. Where a tap would be left that only stands for what the
      # button does by itself, and changes nothing anywhere, the button is untouched again. Raises Invalid.
      def take_off(gesture)
        found(gesture)
        rows.delete(@spot, gesture)
        left = rows.at(@spot)
        rows.delete(@spot, "tap") if left.size == 1 && says_nothing?(left.first)
      end

      # The assignment on a gesture. Raises Invalid where there is none.
      def found(gesture)
        rows.find(@spot, gesture) ||
          raise(Invalid.at("/assignments", Words.say(:no_assigned_there, gesture:, button: @spot.button)))
      end

      private

      def rows = @draft.rows

      # Where the kept tap would cover one that is narrower (base in a place, beneath another mode), it
      # stands further down among what the spot falls back to. The last of those covers nothing.
      def keep_tap(held_back)
        at = rungs(@spot).find { |rung| !covers?(rung) }
        rows.put(at.members.merge(KEPT_TAP, held_back ? {} : { "at_once" => true }))
      end

      # Would a tap there come before one that somebody else falls back to?
      def covers?(at)
        return false if rows.of(at.button).none? { |row| row["gesture"] == "tap" }

        every_spot(at.button).any? do |spot|
          closer = rungs(spot)
          index = closer.index(at)
          index && closer.take(index).none? { |rung| tap_in_force?(rung) } &&
            closer.drop(index).any? { |rung| rows.find(rung, "tap") }
        end
      end

      def act_at_once(at_once)
        tap = rows.find(@spot, "tap")
        rows.put(Draft.with(tap, "at_once" => at_once || nil)) if tap
      end

      # Where a built-in can't be held back, it happens at once, whatever is set.
      def at_once_anyway
        kept = rows.find(@spot, "tap")&.dig("action", "kind") == "builtin"
        act_at_once(true) if kept && rows.at(@spot).size > 1
      end

      # What a gesture can't have does not come along to it.
      def fitting_members(item)
        item = item.except("at_once") unless item["gesture"] == "tap"
        Fitting::AssignmentReader::CAN_REPEAT.include?(item["gesture"]) ? item : item.except("repeat")
      end

      # Does a tap at this spot do what the button does by itself, because nobody said anything? A
      # device or button that is off is asked as though it were on; a tap that is off counts, for a
      # kept one would cover it when it is switched on.
      def untouched?(button)
        return false if button.kind == "notch"

        rungs = rungs(@spot)
        return false if rungs.empty? || rungs.any? { |rung| rows.find(rung, "tap") }

        otherwise != "nothing" && rungs.none? { |rung| in_force?(rung) }
      end

      def every_spot(button)
        modes = [Fitting::BASE, *@draft.list("modes").ids]
        [Fitting::EVERYWHERE, *@draft.list("places").ids].product(modes).map { |place, mode| Spot.new(button, place, mode) }
      end

      def tap_in_force?(rung)
        tap = rows.find(rung, "tap")
        tap && !tap["off"] && !@draft.view.place(rung.place)&.off
      end

      def in_force?(rung)
        off = rung.place != @spot.place && @draft.view.place(rung.place)&.off
        !off && rows.at(rung).any? { |item| !item["off"] }
      end

      # A bare tap that is the built-in, where nothing lies beneath it and nothing falls back to it.
      def says_nothing?(item)
        return false unless item.except("button", "place", "mode", "at_once") == KEPT_TAP && otherwise != "nothing"
        return false if rungs(@spot).drop(1).any? { |rung| rows.at(rung).any? }

        others = rows.of(@spot.button).map { |row| Spot.of(row) }.uniq - [@spot]
        others.none? { |other| rungs(other).include?(@spot) }
      end

      # The Spots that are looked at for one, closest first, as though everything were on.
      def rungs(spot)
        Press::Resolver.rungs(spot.mode, otherwise(spot.mode), places(spot.place)).map do |mode, place|
          Spot.new(spot.button, place, mode)
        end
      end

      def places(id)
        place = @draft.view.place(id) or return [Fitting::EVERYWHERE]
        Press::Resolver.places(place.where) do |app, part|
          @draft.list("places").to_a.find { |one| one["app"] == app && one["part"] == part }&.fetch("id")
        end
      end

      # What a button does in the spot's mode, or another one, that says nothing about it.
      def otherwise(mode = @spot.mode) = @draft.view.mode(mode)&.otherwise
    end
  end
end
