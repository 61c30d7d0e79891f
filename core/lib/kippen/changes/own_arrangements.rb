# frozen_string_literal: true

module Kippen
  module Changes
    # What is assigned to a device, kept under a name for use on another or later. Buttons are
    # known again by their id, their role or their name.
    class SaveArrangement < Change.of("save_arrangement", :device, :name)
      def make(draft)
        found = draft.device(device)
        parts = found.buttons.flat_map { |button| draft.rows.of(button.ref).map { |item| part(draft, found, button, item) } }
        refuse("device", Words.say(:nothing_assigned_on, device: found.name || device)) if parts.empty?

        list = draft.member("arrangements", [])
        id = Fitting::OwnIds.from("own #{name}", list.map { |one| one["id"] }, "own")
        draft.set("arrangements", [*list, { "id" => id, "name" => name, "kind" => found.kind, "parts" => parts }.compact])
      end

      private

      def part(draft, device, button, item)
        role = draft.kinds.button(device, button)&.fetch("role", nil)
        item.except("button").merge({ "button" => button.id, "name" => button.name, "role" => role }.compact)
      end
    end

    # Throws one of the client's own away.
    class RemoveArrangement < Change.of("remove_arrangement", :id)
      def make(draft)
        list = draft.member("arrangements", [])
        unless list.any? { |one| one["id"] == id }
          refuse("arrangement", Words.say(:no_arrangement_this_client, id: Faults.show(id)))
        end

        draft.set("arrangements", list.reject { |one| one["id"] == id })
      end
    end
  end
end
