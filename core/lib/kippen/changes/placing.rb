# frozen_string_literal: true

module Kippen
  module Changes
    # How something is put on a gesture of a draft, and taken off: the same for every change that
    # does so. What can't be is barred, what a button did by itself is kept.
    module Placing
      KEPT_TAP = { "gesture" => "tap", "action" => { "kind" => "builtin" } }.freeze
      # They share the stretch of a held press.
      OTHER_LONG = { "long_press" => "hold", "hold" => "long_press" }.freeze

      module_function

      # item – an assignment without its spot; in place of what is on that gesture. keep – what an
      # untouched button did by itself becomes the tap beside it; what can't be held back always does.
      # at_once – of the spot's tap, nil: as it was. Raises Invalid.
      def put(draft, spot, item, keep: true, at_once: nil)
        button = draft.button(spot.button)
        draft.cautions.bar(button, spot.members.merge(item))
        held_back = draft.cautions.held_back?(button)
        keep_tap(draft, spot, held_back) if item["gesture"] != "tap" && (keep || !held_back) && untouched?(draft, spot, button)
        draft.rows.delete(spot, OTHER_LONG[item["gesture"]])
        draft.rows.put(spot.members.merge(fitting_members(item)))
        act_at_once(draft, spot, at_once) unless at_once.nil?
        at_once_anyway(draft, spot) unless held_back
      end

      # Takes an action off a gesture. Where a tap would be left that only stands for what the
      # button does by itself, and changes nothing anywhere, the button is untouched again. Raises Invalid.
      def take_off(draft, spot, gesture)
        found(draft, spot, gesture)
        draft.rows.delete(spot, gesture)
        left = draft.rows.at(spot)
        draft.rows.delete(spot, "tap") if left.size == 1 && says_nothing?(draft, spot, left.first)
      end

      # The assignment on a gesture. Raises Invalid where there is none.
      def found(draft, spot, gesture)
        draft.rows.find(spot, gesture) ||
          raise(Invalid.at("/assignments", Words.say(:no_assigned_there, gesture:, button: spot.button)))
      end

      # Where the kept tap would cover one that is narrower (base in a place, beneath another mode), it
      # stands further down among what the spot falls back to. The last of those covers nothing.
      def keep_tap(draft, spot, held_back)
        at = rungs(draft, spot).find { |rung| !covers?(draft, rung) }
        draft.rows.put(at.members.merge(KEPT_TAP, held_back ? {} : { "at_once" => true }))
      end

      # Would a tap there come before one that somebody else falls back to?
      def covers?(draft, at)
        return false if draft.rows.of(at.button).none? { |row| row["gesture"] == "tap" }

        every_spot(draft, at.button).any? do |spot|
          rungs = rungs(draft, spot)
          index = rungs.index(at)
          index && rungs.take(index).none? { |rung| tap_in_force?(draft, rung) } && rungs.drop(index).any? do |rung|
            draft.rows.find(rung, "tap")
          end
        end
      end

      def act_at_once(draft, spot, at_once)
        tap = draft.rows.find(spot, "tap")
        draft.rows.put(Draft.with(tap, "at_once" => at_once || nil)) if tap
      end

      # Where a built-in can't be held back, it happens at once, whatever is set.
      def at_once_anyway(draft, spot)
        kept = draft.rows.find(spot, "tap")&.dig("action", "kind") == "builtin"
        act_at_once(draft, spot, true) if kept && draft.rows.at(spot).size > 1
      end

      # What a gesture can't have does not come along to it.
      def fitting_members(item)
        item = item.except("at_once") unless item["gesture"] == "tap"
        Fitting::AssignmentReader::CAN_REPEAT.include?(item["gesture"]) ? item : item.except("repeat")
      end

      # Does a tap at this spot do what the button does by itself, because nobody said anything? A
      # device or button that is off is asked as though it were on; a tap that is off counts, for a
      # kept one would cover it when it is switched on.
      def untouched?(draft, spot, button)
        return false if button.kind == "notch"

        rungs = rungs(draft, spot)
        return false if rungs.empty? || rungs.any? { |rung| draft.rows.find(rung, "tap") }

        blocked = mode_of(draft, spot)&.otherwise == "nothing"
        !blocked && rungs.none? { |rung| in_force?(draft, rung, spot) }
      end

      def every_spot(draft, button)
        modes = [Fitting::BASE, *draft.list("modes").ids]
        [Fitting::EVERYWHERE, *draft.list("places").ids].product(modes).map { |place, mode| Spot.new(button, place, mode) }
      end

      def tap_in_force?(draft, rung)
        tap = draft.rows.find(rung, "tap")
        tap && !tap["off"] && !draft.view.place(rung.place)&.off
      end

      def in_force?(draft, rung, spot)
        off = rung.place != spot.place && draft.view.place(rung.place)&.off
        !off && draft.rows.at(rung).any? { |item| !item["off"] }
      end

      # A bare tap that is the built-in, where nothing lies beneath it and nothing falls back to it.
      def says_nothing?(draft, spot, item)
        unless item.except("button", "place", "mode", "at_once") == KEPT_TAP && mode_of(draft, spot)&.otherwise != "nothing"
          return false
        end
        return false if rungs(draft, spot).drop(1).any? { |rung| draft.rows.at(rung).any? }

        others = draft.rows.of(spot.button).map { |row| Spot.of(row) }.uniq - [spot]
        others.none? { |other| rungs(draft, other).include?(spot) }
      end

      # The Spots that are looked at for one, closest first, as though everything were on.
      def rungs(draft, spot)
        Press::Resolver.rungs(spot.mode, mode_of(draft, spot)&.otherwise, places(draft, spot.place)).map do |mode, place|
          Spot.new(spot.button, place, mode)
        end
      end

      def places(draft, id)
        place = draft.view.place(id) or return [Fitting::EVERYWHERE]
        Press::Resolver.places(place.where) do |app, part|
          draft.list("places").to_a.find { |one| one["app"] == app && one["part"] == part }&.fetch("id")
        end
      end

      def mode_of(draft, spot) = draft.view.mode(spot.mode)

      private_class_method :keep_tap, :covers?, :every_spot, :tap_in_force?, :act_at_once, :at_once_anyway, :fitting_members
      private_class_method :untouched?, :in_force?, :says_nothing?, :rungs, :places, :mode_of
    end
  end
end
