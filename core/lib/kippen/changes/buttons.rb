# frozen_string_literal: true

module Kippen
  module Changes
    # A button that was found. button – "name", "kind", "codes", "print"; it comes last.
    class AddButton < Change.of("add_button", :device, :button)
      def make(draft)
        found = draft.device(device)
        aside = draft.member("taken_out", []).filter_map { |item| item["id"].delete_prefix("#{device}/") if item["id"].start_with?("#{device}/") }
        id = Fitting::OwnIds.from(button["name"], found.buttons.map(&:id) + aside, "button")
        draft.alter_buttons(device) { |list| list.put(button.slice("name", "kind", "codes", "print").merge("id" => id)) }
      end
    end

    # set – some of MEMBERS of one button; nil takes one away.
    class ChangeButton < Change.of("button", :button, :set)
      MEMBERS = %w[name print off signal worked_with codes].freeze

      def make(draft)
        found = draft.button(button)
        given = set.slice(*MEMBERS)
        given = given.merge("off" => given["off"] || nil) if given.key?("off")
        draft.alter_buttons(found.device) { |list| list.put(Draft.with(list.find(found.id), given)) }
      end
    end
  end
end
