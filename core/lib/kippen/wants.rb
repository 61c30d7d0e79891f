# frozen_string_literal: true

module Kippen
  # Which of a client's wants a button does already.
  class Wants
    # A way to a want; builtin – the button's own doing
    Way = Struct.new(:button, :gesture, :place, :mode, :builtin, keyword_init: true)

    def initialize(fitting, kinds)
      @fitting = fitting
      @kinds = kinds
      @in_force = fitting.assignments.reject { |one| one.off || fitting.button(one.button).off || fitting.place(one.place)&.off }
    end

    # [Way]. What is assigned everywhere holds in each app too; a want without hosts is met on any.
    def ways(want)
      return [] unless want.action

      assigned(want) + by_itself(want)
    end

    # "done", "open" (no button does it yet) or "no_action" (nobody said which action it is).
    def state(want)
      return "no_action" unless want.action

      ways(want).empty? ? "open" : "done"
    end

    def open = @fitting.wants.reject { |want| state(want) == "done" }

    private

    def on_host?(want, button) = want.hosts.empty? || want.hosts.include?(button.host)

    def assigned(want)
      found = @in_force.select do |one|
        one.action == want.action && [want.place, Fitting::EVERYWHERE].include?(one.place) && on_host?(want, @fitting.button(one.button))
      end
      found.map { |one| Way.new(button: @fitting.button(one.button), gesture: one.gesture, place: one.place, mode: one.mode, builtin: false) }
    end

    # A button whose tap nothing has been put on does what it does by itself.
    def by_itself(want)
      @fitting.devices.flat_map do |device|
        device.buttons.filter_map do |button|
          next if button.off || !on_host?(want, button)
          next unless @kinds.button(device, button)&.fetch("builtin_action", nil) == want.action && keeps_tap?(button)

          Way.new(button:, gesture: "tap", place: Fitting::EVERYWHERE, mode: Fitting::BASE, builtin: true)
        end
      end
    end

    def keeps_tap?(button)
      here = @in_force.select { |one| one.button == button.ref && one.place == Fitting::EVERYWHERE && one.mode == Fitting::BASE }
      here.empty? || here.any? { |one| one.gesture == "tap" && one.action["kind"] == "builtin" }
    end
  end
end
