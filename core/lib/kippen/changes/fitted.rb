# frozen_string_literal: true

module Kippen
  module Changes
    # A timing that was fitted, for one button, for all of a device, or for all buttons worked with the same part of
    # the body. scope – "button", "device" or "worked_with"; of – the ref, the id, or what they are worked with; timing –
    # { setting => value }. What can't be set on one of them goes to the nearest there, said so.
    class Fitted < Change.of("fitted", :scope, :of, :timing)
      def make(draft)
        raise Invalid.at("/change/timing", Words.say(:must_be_an_object)) if timing.empty?

        case scope
        when "button" then on_button(draft, draft.button(of))
        when "device" then on_device(draft, draft.device(of))
        else worked_alike(draft)
        end
      end

      private

      def on_button(draft, button)
        draft.speak_of(Spot.new(button.ref, Fitting::EVERYWHERE, Fitting::BASE))
        all = draft.member("button_timing", {})
        draft.set("button_timing", all.merge(button.ref => set(draft, button.device, all.fetch(button.ref, {}))))
      end

      # Its buttons have these no longer for their own.
      def on_device(draft, device)
        device.buttons.each { |button| draft.speak_of(Spot.new(button.ref, Fitting::EVERYWHERE, Fitting::BASE)) }
        draft.alter("devices", device.id,
                    "timing" => set(draft, device.id, draft.list("devices").find(device.id).fetch("timing", {})))
        all = draft.member("button_timing", {})
        own = device.buttons.map(&:ref) & all.keys
        return unless own.any?

        draft.set("button_timing", own.reduce(all) do |left, ref|
          Draft.with(left, ref => all[ref].except(*timing.keys).then do |rest|
            rest.empty? ? nil : rest
          end)
        end)
      end

      def worked_alike(draft)
        devices = draft.before.devices.to_h do |device|
          [device, device.buttons.select do |button|
            draft.before.worked_with(button) == of && button.kind != "notch"
          end]
        end
        devices = devices.reject { |_, buttons| buttons.empty? }
        refuse("of", Words.say(:nothing_worked_with, with: Faults.show(of))) if devices.empty?

        devices.each do |device, buttons|
          whole = buttons.size == device.buttons.count { |button| button.kind != "notch" }
          whole ? on_device(draft, device) : buttons.each { |button| on_button(draft, button) }
        end
      end

      def set(draft, device, mine)
        timing.reduce(mine) { |all, (name, value)| Settable.new(draft, device, name).set(all, value, nearest: true) }
      end
    end
  end
end
