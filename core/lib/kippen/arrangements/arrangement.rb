# frozen_string_literal: true

module Kippen
  class Arrangements
    # One arrangement: which gesture of which button does what.
    class Arrangement
      attr_reader :data, :own

      # data – the JSON object; own – is it the client's own
      def initialize(data, own:)
        @data = data
        @own = own
      end

      def id = data["id"]
      def name = data["name"]
      def parts = data.fetch("parts", [])
      # What must be said before it is applied: "button", "double_tap", "long_press"
      def asks = shipped("asks") || []
      def good_for = shipped("good_for")
      def costs = shipped("costs")

      # Is it of any use on a device? host – the Fitting::Host
      def for?(device, host)
        return false if shipped("systems")&.none?(host.system)
        return false if shipped("kinds")&.none?(device.kind)

        device.buttons.any?
      end

      # Raises Invalid where nothing is in it, or what it asks is not answered.
      # answers – { "button" => id within the device, "double_tap" => action … }
      def check(answers)
        raise Invalid.at("/change/arrangement", Words.say(:has_nothing_in_it, name:)) if parts.empty?

        missing = asks.reject { |ask| answers[ask] }
        raise(Invalid, missing.map { |ask| Fault.new("/change/answers/#{ask}", Words.say(:must_chosen_first)) }) if missing.any?
      end

      def action_of(part, answers) = part["action"].is_a?(String) ? answers.fetch(part["action"]) : part["action"]

      # The Fitting::Button for a part: by what was asked, by its id where the kind is the same, by its role, by its name.
      def button_for(device, kinds, part, answers)
        return device.buttons.find { |button| button.id == answers[part["asked"]] } if part["asked"]

        same = device.buttons.find { |button| button.id == part["button"] } if part["button"] && data["kind"] == device.kind
        same || by_role(device, kinds, part["role"]) ||
          (part["name"] && device.buttons.find { |button| button.name == part["name"] })
      end

      def called(part, catalogue, answers)
        whose = part["name"] || part["role"] || Words.say(:the_button)
        "#{whose}, #{Words.gesture(part["gesture"])}, #{catalogue.name(action_of(part, answers))}"
      end

      # What must be known of it on a device, in sentences.
      def notes(device, kinds)
        (shipped("notes") || []).select { |note| by_role(device, kinds, note["role"]) }.map { |note| note["words"] }
      end

      private

      # Only the ready-made say more than their parts.
      def shipped(member) = own ? nil : data[member]

      def by_role(device, kinds, role)
        role && device.buttons.find { |button| kinds.button(device, button)&.fetch("role", nil) == role }
      end
    end
  end
end
