# frozen_string_literal: true

module Kippen
  class Arrangements
    # One arrangement: which gesture of which button does what.
    class Arrangement
      # fitting – with all that fits; left_out – sentences on what does not; buttons – refs it changed
      Applied = Struct.new(:fitting, :left_out, :notes, :buttons, keyword_init: true)

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
      def asks = told("asks") || []
      def good_for = told("good_for")
      def costs = told("costs")

      # Is it of any use on a device? host – the Fitting::Host
      def for?(device, host)
        return false if told("systems")&.none?(host.system)
        return false if told("kinds")&.none?(device.kind)

        device.buttons.any?
      end

      # answers – { "button" => id within the device, "double_tap" => action … }
      # Raises Invalid where an answer is missing, or nothing of it fits.
      def apply(fitting, kinds, catalogue, device:, answers: {})
        found = fitting.device(device) || raise(Invalid.at("/change/device", "no device #{Faults.show(device)}"))
        raise Invalid.at("/change/arrangement", "#{name} has nothing in it") if parts.empty?

        missing = asks.reject { |ask| answers[ask] }
        raise(Invalid, missing.map { |ask| Fault.new("/change/answers/#{ask}", "must be chosen first") }) if missing.any?

        on(fitting, found, kinds, catalogue, answers)
      end

      private

      # Only the ready-made say more than their parts.
      def told(member) = own ? nil : data[member]

      def on(fitting, device, kinds, catalogue, answers)
        left_out = []
        buttons = []
        changed = parts.reduce(fitting) do |so_far, part|
          button = button_for(device, kinds, part, answers)
          next so_far.tap { left_out << "#{called(part, catalogue, answers)}: #{device.name || device.id} has no such button." } unless button

          put(so_far, Cautions.new(so_far, kinds, catalogue), button, part, answers).tap { buttons << button.ref }
        rescue Invalid => e
          left_out << "#{called(part, catalogue, answers)}: #{e.faults.map { |fault| fault.message.delete_suffix(".") }.join("; ")}."
          so_far
        end
        raise(Invalid, left_out.map { |words| Fault.new("/change/arrangement", words) }) if buttons.empty?

        Applied.new(fitting: changed, left_out:, notes: notes(device, kinds), buttons: buttons.uniq)
      end

      def put(fitting, cautions, button, part, answers)
        action = action_of(part, answers)
        cautions.bar(button, part["gesture"], action)
        at_once = part["gesture"] == "tap" ? part.fetch("at_once", false) : (true unless cautions.held_back?(button))
        made = Fitting::Edit.assign(fitting, button: button.ref, gesture: part["gesture"], action:, at_once:, repeat: part["repeat"],
                                             place: part.fetch("place", Fitting::EVERYWHERE), mode: part.fetch("mode", Fitting::BASE))
        part["off"] ? Fitting::Edit.switch(made, button: button.ref, gesture: part["gesture"], off: true) : made
      end

      def action_of(part, answers) = part["action"].is_a?(String) ? answers.fetch(part["action"]) : part["action"]

      # By what was asked, by its id where the kind is the same, by its role, by its name.
      def button_for(device, kinds, part, answers)
        return device.buttons.find { |button| button.id == answers[part["asked"]] } if part["asked"]

        same = device.buttons.find { |button| button.id == part["button"] } if part["button"] && data["kind"] == device.kind
        same || by_role(device, kinds, part["role"]) || (part["name"] && device.buttons.find { |button| button.name == part["name"] })
      end

      def by_role(device, kinds, role)
        role && device.buttons.find { |button| kinds.button(device, button)&.fetch("role", nil) == role }
      end

      def called(part, catalogue, answers)
        whose = part["name"] || part["role"] || "the button"
        "#{whose}, #{Words::GESTURES.fetch(part["gesture"])}, #{catalogue.name(action_of(part, answers))}"
      end

      def notes(device, kinds)
        (told("notes") || []).select { |note| by_role(device, kinds, note["role"]) }.map { |note| note["words"] }
      end
    end
  end
end
