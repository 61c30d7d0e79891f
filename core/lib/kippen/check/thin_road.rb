# frozen_string_literal: true

module Kippen
  module Check
    # What must be got at and hangs on a single way, or on one that goes wrong too often; one device or one part of the body
    # that carries too much. As Reach counts it.
    class ThinRoad < Finder
      ID = "thin_road"

      def self.kept? = false

      def findings
        ways = Reach::Ways.new(@fitting, @case.knowledge, presses: @case.presses, contacts: @case.contacts,
                                                          figures: @case.figures, deadline: @case.deadline)
        Reach::Overview.new(ways).thin.map { |thin| told(thin) }
      end

      private

      def told(thin)
        found("look", words(thin), where: { "want" => thin.want, "device" => thin.device }, figures: thin.figures,
                                   rests_on: [*(RestsOn.pointer("wants", thin.want) if thin.want),
                                              *(RestsOn.pointer("devices", thin.device) if thin.device)])
      end

      def words(thin)
        want = @fitting.wants.find { |one| one.id == thin.want }
        device = thin.device && @fitting.device(thin.device)
        Words.say(:"check_thin_#{thin.id}", what: want&.what, device: device && (device.name || device.id), part: thin.part,
                                            **thin.figures.transform_keys(&:to_sym))
      end
    end
  end
end
