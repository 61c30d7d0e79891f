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
        set = Settable.set(draft, own.device, mine, setting, value, nearest:)
        draft.set("button_timing", Draft.with(all, button => set.empty? && !mine.empty? ? nil : set))
      end
    end

    # The same for all buttons of a device that have none of their own.
    class DeviceTiming < Change.of("device_timing", :device, :setting, :value, place: Fitting::EVERYWHERE, mode: Fitting::BASE, nearest: false)
      def make(draft)
        draft.device(device).buttons.each { |button| draft.speak_of(Spot.new(button.ref, place, mode)) }
        mine = draft.list("devices").find(device).fetch("timing", {})
        set = Settable.set(draft, device, mine, setting, value, nearest:)
        draft.alter("devices", device, "timing" => set.empty? ? nil : set)
      end
    end

    # Values that a device can really be set to where it is.
    module Settable
      module_function

      # timing – the settings it is one of; returns them with it set. Raises Invalid.
      def set(draft, device, timing, setting, value, nearest:)
        known = Fitting::Timing::SETTINGS[setting] || raise(Invalid.at("/setting", Words.say(:unknown_setting, setting: Faults.show(setting))))
        return timing.except(setting) if value.nil?

        fault = Fitting::Timing.fault(known, value)
        raise Invalid.at("/change/value", fault) if fault

        timing.merge(setting => possible(draft, device, setting, value, nearest))
      end

      def possible(draft, device, setting, value, nearest)
        best = Kinds::Settable.nearest(allowed(draft, device)[setting], value)
        return value if best == value

        draft_words = Words.say(nearest ? :moved_to_nearest : :not_settable, setting: Words.setting(setting), value: Words.value(setting, value),
                                                                             nearest: Words.value(setting, best), device: draft.device(device).name || device)
        raise Invalid.at("/change/value", draft_words) unless nearest

        draft.notes << draft_words
        best
      end

      def allowed(draft, device)
        found = draft.device(device)
        draft.kinds.settable(found, draft.before.host(found.host))
      end
      private_class_method :possible, :allowed
    end
  end
end
