# frozen_string_literal: true

module Kippen
  module Changes
    # mode – { "id", "name", "otherwise", "counting" }; without an id it is a new one.
    class PutMode < Change.of("mode", :mode)
      def make(draft)
        list = draft.list("modes")
        said = mode.slice("name", "otherwise", "counting")
        if mode["id"]
          return list.put(Draft.with(list.find(mode["id"]) || refuse("id", Words.say(:no_mode, id: Faults.show(mode["id"]))),
                                     said))
        end

        PutMode.add(draft, said)
      end

      # Returns the id of a new one. said – its members but the id
      def self.add(draft, said)
        list = draft.list("modes")
        id = Fitting::OwnIds.from(said["name"], [Fitting::BASE, *draft.ids("modes")], "mode")
        list.put({ "id" => id }.merge(said))
        id
      end
    end

    # Takes a mode out, with what is assigned in it and what takes it; all may be brought back.
    class RemoveMode < Change.of("remove_mode", :id)
      def make(draft)
        item = draft.list("modes").delete(id) || refuse("id", Words.say(:no_mode, id: Faults.show(id)))
        Aside.put(draft, "mode", item) { |row| Spot.of(row).mode == id || RemoveMode.takes?(row["action"], id) }
      end

      def self.takes?(action, id) = action.is_a?(Hash) && action["kind"] == "mode" && action["mode"] == id
    end

    # Hold one button, and count the presses of another: a mode that is on while the one is held, and in
    # it what one, two, three or more presses of the other do, at any pace. held, counted – buttons;
    # counts – { "tap" => action, "double_tap" => …, "triple_tap" => … }. Made again for the same held
    # button and another counted one, its mode is the same.
    class HoldAndCount < Change.of("hold_and_count", :held, :counted, :counts, place: Fitting::EVERYWHERE)
      COUNTS = %w[tap double_tap triple_tap].freeze

      def make(draft)
        one, other = [held, counted].map { |ref| draft.own_button(ref) }
        refuse("counted", Words.say(:needs_two_buttons)) if one.ref == other.ref
        refuse("counted", Words.say(:one_host_both)) if one.host != other.host
        refuse("counts", Words.say(:nothing_counted)) if counts.slice(*COUNTS).empty?

        mode = mode(draft, one)
        counts.slice(*COUNTS).each do |gesture, action|
          item = { "gesture" => gesture, "action" => NamedApp.settle(draft, action) }
          Placing.new(draft, draft.speak_of(Spot.new(counted, place, mode))).put(item)
        end
      end

      private

      # The mode that the held button keeps already, which counts as it did, else a new one.
      def mode(draft, button)
        spot = Spot.new(held, Fitting::EVERYWHERE, Fitting::BASE)
        there = draft.rows.find(spot, "hold")
        action = there && there["action"]
        return action["mode"] if there && !there["off"] && action["kind"] == "mode" && action["how"] == "held"

        name = Words.say(:counted_mode, button: Words.button(draft.before.device(button.device), button))
        id = PutMode.add(draft, { "name" => name, "counting" => "while_held" })
        Placing.new(draft,
                    draft.speak_of(spot)).put({ "gesture" => "hold",
                                                "action" => { "kind" => "mode", "mode" => id, "how" => "held" } })
        id
      end
    end
  end
end
