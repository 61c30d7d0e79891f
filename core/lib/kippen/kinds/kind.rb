# frozen_string_literal: true

module Kippen
  class Kinds
    # One kind of device, as its data tell. Frozen.
    class Kind
      # data – the JSON object of the file
      attr_reader :data

      def initialize(data)
        @data = data.freeze
        @buttons = data.fetch("buttons").to_h { |button| [button.fetch("id"), button.freeze] }.freeze
        freeze
      end

      def id = data.fetch("id")
      def name = data.fetch("name")
      # Which edition of it this is, counted from 1; nil where nobody counts.
      def edition = data["edition"]

      # [{ "id", "name", "buttons" }], empty where there is only one
      def variants = data.fetch("variants", [])
      # Places others sit in: [{ "id", … }]; takes – ids of the kinds that may
      def seats = data.fetch("seats", [])
      def takes = data.fetch("takes", [])
      def versions = data.fetch("versions", [])
      # Is it no device, but what happens to the host itself?
      def itself? = data.fetch("itself", false)
      # Does it move the pointer?
      def points? = data.fetch("points", false)
      # Steps of getting ready, see Ready.
      def steps = data.fetch("ready")

      # What the data say of a button, or nil.
      def button(id) = @buttons[id]

      # What the data say of all buttons, of whichever variant.
      def buttons_of_all = @buttons.values

      # Of all buttons, those of a variant; nil – the first one.
      def buttons(variant = nil)
        chosen = variants.find { |one| one["id"] == variant } || variants.first
        chosen ? chosen["buttons"].map { |id| @buttons.fetch(id) } : @buttons.values
      end

      # What it can carry on a host: { "gestures", "settable", "modes", "double_click_ms" },
      # or nil where it can't be used there. system – of Fitting::Host
      def carries(system) = data.fetch("hosts")[system]
      def systems = data.fetch("hosts").keys
      # Why nobody can be sure that it works there, and what to try; nil where it does.
      def unsure(system) = carries(system)&.fetch("unsure", nil)
      # Systems at which it surely works, those where it belongs first.
      def sure = belongs | systems.reject { |system| unsure(system) }
      # Systems of hosts at which a new one is put, in this order; a host of the first is made where there is none.
      def belongs = data["belongs"] ? [data["belongs"]] : systems.reject { |system| unsure(system) }

      # A new device's buttons, as a fitting has them.
      def fitting_buttons(variant)
        buttons(variant).map do |button|
          made = { "id" => button["id"], "name" => button["name"], "kind" => button["kind"] }
          made["print"] = button["print"] unless button["print"].empty?
          made["builtin"] = button["builtin"]["tap"] if button["builtin"]["tap"]
          made
        end
      end
    end
  end
end
