# frozen_string_literal: true

module Kippen
  class Kinds
    # By which sources a browser hears each button of a fitting, as its kind, its socket
    # or the person who found it says.
    class Sources
      # Which button a source may be, and how one knows: "found" by pressing, or of its "kind".
      Candidate = Struct.new(:button, :how)

      def initialize(fitting, kinds)
        @fitting = fitting
        @kinds = kinds
        @devices = fitting.devices.to_h { |device| [device.id, device] }
        @by_source = Hash.new { |hash, source| hash[source] = [] }
        fitting.buttons.each { |button| of(button).each { |source, how| @by_source[source] << Candidate.new(button, how) } }
        @by_source.default_proc = nil
      end

      # { source => "found" | "kind" } of one button.
      def of(button)
        return button.codes.to_h { |source| [Codes.general(source), "found"] } unless button.codes.empty?

        by_kind(button).to_h { |source| [source, "kind"] }
      end

      # Candidates for a heard source; more than one can't be told apart. What was found by
      # pressing goes before what the kind says. Buttons that are off are left out.
      def candidates(source)
        found = @by_source.fetch(Codes.general(source), []).reject { |one| one.button.off }
        pressed = found.select { |one| one.how == "found" }
        pressed.empty? ? found : pressed
      end

      private

      def by_kind(button)
        device = @devices.fetch(button.device)
        data = @kinds.button(device, button) or return []
        socket(device) || after(device, data) || data["heard"]["browser"]
      end

      # What is plugged into a socket is heard as the socket's key.
      def socket(device)
        carrier = device.seat && @devices[device.seat.device]
        kind = carrier && @kinds.of(carrier)
        seat = kind&.seats&.find { |one| one["id"] == device.seat.place }
        seat && seat["browser"]
      end

      # A device that a step has made into something else.
      def after(device, data)
        steps = data["heard"].fetch("after", {})
        done = steps.keys.find { |step| device.ready.key?(step) }
        done && steps[done]
      end
    end
  end
end
