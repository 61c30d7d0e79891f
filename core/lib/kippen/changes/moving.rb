# frozen_string_literal: true

module Kippen
  module Changes
    # What happens to devices whose host becomes another, or another kind of thing: what can't be
    # there is refused, what can't be kept in force is switched off, values that can't be set move
    # to the nearest; each said so.
    module Moving
      module_function

      # devices – Fitting::Devices; system – what their host is from now on. Raises Invalid.
      def to(draft, devices, system)
        barred = devices.reject { |device| carries?(draft, device, system) }
        if barred.any?
          raise Invalid.at("/change/host",
                           Words.say(:cant_be_used_at, id: barred.map { |one| one.name || one.id }.join(", "), system:))
        end

        devices.each do |device|
          unsure(draft, draft.kinds.of(device), device.name || device.id, system)
          device.buttons.each { |button| switch_off(draft, device, button, system) }
          timing(draft, device, system)
        end
      end

      # Where nobody can be sure that it works, that is told.
      def unsure(draft, kind, name, system)
        why = kind&.unsure(system) and draft.notes << Words.say(:unsure_there, name:, system:, why:)
      end

      def carries?(draft, device, system)
        kind = draft.kinds.of(device)
        kind.nil? || !kind.carries(system).nil?
      end

      def switch_off(draft, device, button, system)
        draft.rows.of(button.ref).each do |item|
          next if item["off"] || draft.cautions.reasons(button, item).any?

          why = draft.cautions.reasons(button, item, system:)
          next if why.empty?

          draft.rows.put(item.merge("off" => true))
          draft.left_out << Words.say(:switched_off_there, button: Words.button(device, button),
                                                           gesture: Words.gesture(item["gesture"]),
                                                           why: why.first.delete_suffix("."))
        end
      end

      def timing(draft, device, system)
        allowed = draft.kinds.carries(device, system)&.fetch("settable") || {}
        own = draft.list("devices").find(device.id)
        if own["timing"]
          draft.alter("devices", device.id, "timing" => settable(draft, device.name || device.id, own["timing"], allowed))
        end
        all = draft.member("button_timing", {})
        mine = all.slice(*device.buttons.map(&:ref))
        draft.set("button_timing", all.merge(mine.to_h { |ref, part| [ref, settable(draft, ref, part, allowed)] })) if mine.any?
      end

      # Settings with those that can't be set moved to the nearest.
      def settable(draft, whose, settings, allowed)
        settings.to_h do |name, value|
          best = Fitting::Timing::SETTINGS.key?(name) ? Kinds::Settable.nearest(allowed[name], value) : value
          unless best == value
            draft.notes << Words.say(:moved_to_nearest, setting: Words.setting(name), value: Words.value(name, value),
                                                        nearest: Words.value(name, best),
                                                        device: whose)
          end
          [name, best]
        end
      end
      private_class_method :carries?, :switch_off
    end
  end
end
