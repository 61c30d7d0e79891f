# frozen_string_literal: true

module Kippen
  class Kinds
    # By which sources a browser hears each button of a fitting, as its kind, its socket
    # or the person who found it says.
    class Sources
      # Which button a source may be, and how one knows: "found" by pressing, or of its "kind".
      Candidate = Struct.new(:button, :how)

      # A gamepad by its number: of two of one kind it tells which.
      NUMBERED = /\Agamepad:\d+:/

      def initialize(fitting, kinds)
        @fitting = fitting
        @kinds = kinds
        @devices = fitting.devices.to_h { |device| [device.id, device] }
        @exact = {}
        @general = {}
        fitting.buttons.reject(&:off).each { |button| of(button).each { |source, how| note(source, Candidate.new(button, how)) } }
      end

      # { source => "found" | "kind" } of one button.
      def of(button)
        return button.codes.to_h { |source| [source, "found"] } unless button.codes.empty?

        by_kind(button).to_h { |source| [source, "kind"] }
      end

      # Candidates for a heard source; more than one can't be told apart. What was found by
      # pressing goes before what the kind says. Buttons that are off are left out.
      def candidates(source)
        exact = @exact.fetch(source, [])
        return exact if exact.any? && source.match?(NUMBERED)

        found = @general.fetch(Codes.general(source), [])
        others = found.reject { |one| one.how == "found" && one.button.codes.any? { |code| code.match?(NUMBERED) } }
        found = others unless others.empty?
        pressed = found.select { |one| one.how == "found" }
        pressed.empty? ? found : pressed
      end

      # Which kinds of device a source may be of that no button of the fitting gives: [Kind], those that can be at one of its
      # hosts first, then those that are heard by the fewest sources, for they are meant by it.
      def new_kinds(source)
        own = @fitting.list("kinds").map { |data| Kind.new(data) }
        systems = @fitting.hosts.map(&:system)
        heard = (@kinds.all + own).reject(&:itself?).select { |kind| sources_of(kind).include?(Codes.general(source)) }
        heard.sort_by { |kind| [kind.systems.intersect?(systems) ? 0 : 1, sources_of(kind).size, kind.name] }
      end

      # Can a source, as it was heard, have come from a button itself, and not from something that
      # stands for it?
      def from?(button, source) = of(button).keys.any? { |own| own == source || Codes.general(own) == Codes.general(source) }

      private

      def sources_of(kind)
        kind.buttons_of_all.flat_map { |button| (button["heard"] || {}).fetch("browser", []) }.map { |one| Codes.general(one) }
          .uniq
      end

      def note(source, candidate)
        (@exact[source] ||= []) << candidate
        (@general[Codes.general(source)] ||= []) << candidate
      end

      def by_kind(button)
        device = @devices.fetch(button.device)
        data = @kinds.button(device, button) or return []
        return socket(device) || [] unless data["heard"]

        socket(device) || after(device, data) || variant(device, data) || data["heard"]["browser"]
      end

      # What is plugged into a socket is heard as the socket's key.
      def socket(device)
        carrier = device.seat && @devices[device.seat.device]
        kind = carrier && @kinds.of(carrier)
        seat = kind&.seats&.find { |one| one["id"] == device.seat.place }
        seat && seat["browser"]
      end

      # Two of a kind that a browser hears each as its own.
      def variant(device, data) = data["heard"].fetch("variants", {})[device.variant]

      # A device that a step has made into something else.
      def after(device, data)
        steps = data["heard"].fetch("after", {})
        done = steps.keys.find { |step| device.ready.key?(step) }
        done && steps[done]
      end
    end
  end
end
