# frozen_string_literal: true

module Kippen
  module Check
    # There is a print, and the tap does something else than the button does by itself.
    class PrintDiffers < Finder
      ID = "print_differs"

      def findings
        cautions = Cautions.new(@fitting, @case.knowledge)
        @case.buttons.filter_map do |button|
          tap = @case.lanes(button).first.choice.tap or next
          said = cautions.print(button, tap.action)
          next if said.nil? || own?(button, tap.action)

          found("look", Words.say(:own_of_button, button: name(button), told: said.what),
                where: { "button" => button.ref, "gesture" => "tap" },
                rests_on: [itself(button), assigned(button.ref)])
        end
      end

      private

      # Put on again as an action, it is as the print says.
      def own?(button, action)
        own = @case.data(button)["builtin_action"]
        own && @case.catalogue.plain(own) == @case.catalogue.plain(action)
      end
    end
  end
end
