# frozen_string_literal: true

module Kippen
  module Changes
    # Sets one timing value of a button, or takes its own away (nil). What can't be set there is
    # refused with the nearest that can; nearest – it goes there instead, said so, as what is
    # dragged does. A device that follows another keeps timing of its own.
    class Timing < Change.of("timing", :button, :setting, :value, place: Fitting::EVERYWHERE, mode: Fitting::BASE, nearest: false)
      def make(draft)
        own = draft.button(button)
        draft.speak_of(Spot.new(button, place, mode))
        all = draft.member("button_timing", {})
        mine = all.fetch(button, {})
        set = Settable.new(draft, own.device, setting).set(mine, value, nearest:)
        draft.set("button_timing", Draft.with(all, button => set.empty? && !mine.empty? ? nil : set))
      end
    end

    # The same for all buttons of a device that have none of their own.
    class DeviceTiming < Change.of("device_timing", :device, :setting, :value,
                                   place: Fitting::EVERYWHERE, mode: Fitting::BASE, nearest: false)
      def make(draft)
        draft.device(device).buttons.each { |button| draft.speak_of(Spot.new(button.ref, place, mode)) }
        mine = draft.list("devices").find(device).fetch("timing", {})
        set = Settable.new(draft, device, setting).set(mine, value, nearest:)
        draft.alter("devices", device, "timing" => set.empty? ? nil : set)
      end
    end

    # A setting, with the values that a device can really be set to where it is.
    class Settable
      # device – its id; setting – a name. Raises Invalid.
      def initialize(draft, device, setting)
        @known = Fitting::Timing::SETTINGS[setting] ||
                 raise(Invalid.at("/setting", Words.say(:unknown_setting, setting: Faults.show(setting))))
        @draft = draft
        @device = device
        @setting = setting
      end

      # timing – the settings it is one of; returns them with it set, or without it for nil. nearest – what can't be set
      # goes to the nearest that can, said so; else it is refused. Raises Invalid.
      def set(timing, value, nearest:)
        return timing.except(@setting) if value.nil?

        fault = Fitting::Timing.fault(@known, value)
        raise Invalid.at("/change/value", fault) if fault

        timing.merge(@setting => possible(value, nearest))
      end

      private

      def possible(value, nearest)
        best = Kinds::Settable.nearest(allowed, value)
        return value if best == value

        words = Words.say(nearest ? :moved_to_nearest : :not_settable,
                          setting: Words.setting(@setting), value: Words.value(@setting, value),
                          nearest: Words.value(@setting, best), device: @draft.device(@device).name || @device)
        raise Invalid.at("/change/value", words) unless nearest

        @draft.notes << words
        best
      end

      def allowed
        found = @draft.device(@device)
        @draft.kinds.settable(found, @draft.before.host(found.host))[@setting]
      end
    end
  end
end
