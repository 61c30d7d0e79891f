# frozen_string_literal: true

module Kippen
  class Fitting
    # One device's assignments on another's buttons: once, or as a lasting link.
    module Copying
      module_function

      # The assignments and timing of "from" in place of those of "to", button by button as
      # Kinds::Match pairs them; what a button can't make is left out. Returns the new Fitting.
      def copy(fitting, kinds, from:, to:, mirror:)
        pairs = match(fitting, kinds, from, to, mirror).pairs
        partners = pairs.to_h { |one, other| [one.ref, other] }
        targets = pairs.map { |_, other| other.ref }
        kept = fitting.list("assignments").reject { |item| targets.include?(item["button"]) }
        fitting.with("assignments" => kept + copies(fitting, kinds, partners), "button_timing" => timing(fitting, partners, targets))
      end

      # From now on "to" follows "from".
      def link(fitting, kinds, from:, to:, mirror:)
        copied = copy(fitting, kinds, from:, to:, mirror:)
        copied.with("links" => copied.list("links") + [{ "from" => from, "to" => to, "mirror" => mirror }])
      end

      # "to" keeps what it has, and goes its own way.
      def cut(fitting, to)
        raise Invalid.at("/links", "#{Faults.show(to)} follows no device") unless leader(fitting, to)

        fitting.with("links" => fitting.list("links").reject { |link| link["to"] == to })
      end

      # After any change: what follows is brought up to date.
      def follow(fitting, kinds)
        fitting.links.reduce(fitting) { |changed, link| copy(changed, kinds, from: link.from, to: link.to, mirror: link.mirror) }
      end

      # The Link by which a device follows another, or nil.
      def leader(fitting, device) = fitting.links.find { |link| link.to == device }

      # Names what has no match: { "buttons" => […], "assignments" => […] } in words.
      def without_match(fitting, kinds, from, to, mirror)
        match = match(fitting, kinds, from, to, mirror)
        partners = match.pairs.to_h { |one, other| [one.ref, other] }
        cannot = fitting.assignments.select { |one| partners[one.button] && !able?(fitting, kinds, partners[one.button], one.gesture) }
        { "buttons" => match.without.map { |button| button.name || button.id },
          "assignments" => cannot.map { |one| "#{fitting.button(one.button).name || one.button}: #{Words::GESTURES.fetch(one.gesture)}" } }
      end

      def match(fitting, kinds, from, to, mirror)
        one, other = [from, to].map { |id| fitting.device(id) || raise(Invalid.at("/change", "no device #{Faults.show(id)}")) }
        raise Invalid.at("/change", "a device can't follow itself") if one == other

        Kinds::Match.new(kinds, one, other, mirror:)
      end

      def copies(fitting, kinds, partners)
        fitting.list("assignments").filter_map do |item|
          partner = partners[item["button"]] or next
          item.merge("button" => partner.ref) if able?(fitting, kinds, partner, item["gesture"])
        end
      end

      def able?(fitting, kinds, button, gesture)
        (button.kind != "notch" || gesture == "tap") && kinds.gestures(fitting, button).include?(gesture)
      end

      def timing(fitting, partners, targets)
        all = fitting.document.fetch("button_timing", {})
        all.except(*targets).merge(partners.filter_map { |ref, partner| all[ref] && [partner.ref, all[ref]] }.to_h)
      end
    end
  end
end
