# frozen_string_literal: true

module Kippen
  module Changes
    # What is known of one device is put right: what it carries where it is. set – some of Fitting::CorrectedDevice::MEMBERS
    # in place of what its kind says; nil: as its kind has it again. What is assigned and can't be there any more is
    # switched off and kept, a value that can't be set moves to the nearest; each is told.
    class CorrectDevice < Change.of("correct_device", :device, :set)
      SAID = (Fitting::CorrectedDevice::MEMBERS - %w[by at]).freeze

      def make(draft)
        found = draft.device(device)
        before = Cautions.new(draft.before, draft.knowledge)
        draft.alter("devices", device, "corrected" => corrected(draft, draft.list("devices").find(device)))
        now = draft.view.device(device)
        now.buttons.each do |button|
          Misfits.switch_off(draft, found, button) { |item| before.reasons(draft.before.button(button.ref), item) }
        end
        Moving.timing(draft, now, draft.before.host(found.host).system)
      end

      private

      def corrected(draft, item)
        set && (item["corrected"] || {}).merge(set.slice(*SAID), { "by" => draft.by, "at" => draft.at }.compact)
      end
    end
  end
end
