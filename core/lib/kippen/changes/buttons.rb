# frozen_string_literal: true

module Kippen
  module Changes
    # A button that was found. button – "name", "kind", "codes", "print"; it comes last.
    class AddButton < Change.of("add_button", :device, :button)
      def make(draft)
        found = draft.device(device)
        aside = draft.member("taken_out", []).filter_map do |item|
          item["id"].delete_prefix("#{device}/") if item["id"].start_with?("#{device}/")
        end
        id = Fitting::OwnIds.from(button["name"], found.buttons.map(&:id) + aside, "button")
        draft.alter_buttons(device) { |list| list.put(button.slice("name", "kind", "codes", "print").merge("id" => id)) }
      end
    end

    # What is known of one button of one device is put right: this model, this firmware. set – some of
    # Fitting::CorrectedReader::MEMBERS in place of what its kind says (a claim with "freed" true is freed by whoever says so),
    # or nil: as its kind has it again. What is assigned and can't be there any more is switched off, and told.
    class Correct < Change.of("correct", :button, :set)
      SAID = (Fitting::CorrectedReader::MEMBERS - %w[by at]).freeze

      def make(draft)
        old = draft.button(button)
        draft.alter_buttons(old.device) { |list| list.put(corrected(draft, list.find(old.id))) }
        now = draft.view.device(old.device).buttons.find { |one| one.id == old.id }
        Misfits.switch_off(draft, draft.device(old.device), now) { |item| draft.cautions.reasons(old, item) }
      end

      private

      def corrected(draft, item)
        Draft.with(item, "corrected" => set && (item["corrected"] || {}).merge(claims(draft, set.slice(*SAID)), stamp(draft)))
      end

      def stamp(draft) = { "by" => draft.by, "at" => draft.at }

      def claims(draft, said)
        return said unless said["claims"].is_a?(Array)

        said.merge("claims" => said["claims"].map do |claim|
          claim["freed"] == true ? claim.merge("freed" => stamp(draft)) : Draft.with(claim, "freed" => claim["freed"] || nil)
        end)
      end
    end

    # set – some of MEMBERS of one button; nil takes one away.
    class ChangeButton < Change.of("button", :button, :set)
      MEMBERS = %w[name print off signal worked_with effort_s codes].freeze

      def make(draft)
        found = draft.button(button)
        given = set.slice(*MEMBERS)
        given = given.merge("off" => given["off"] || nil) if given.key?("off")
        draft.alter_buttons(found.device) { |list| list.put(Draft.with(list.find(found.id), given)) }
      end
    end
  end
end
