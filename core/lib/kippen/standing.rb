# frozen_string_literal: true

module Kippen
  # What is still open in a fitting, counted: what the caseload and the trail show.
  module Standing
    # contacts – { device id => [Kinds::Ready::Contact] } of what was heard.
    # Returns { "wants" => open wants, "steps" => steps of getting ready not done, "devices" => devices with such }.
    def self.open(fitting, knowledge, contacts = {})
      steps = fitting.devices.reject(&:off).map do |device|
        Kinds::Ready.new(knowledge.kinds.of(device), device, fitting.host(device.host),
                         contacts: contacts.fetch(device.id, [])).open.size
      end
      { "wants" => Reach::Wants.of(fitting, knowledge).open.size, "steps" => steps.sum, "devices" => steps.count(&:positive?) }
    end
  end
end
