# frozen_string_literal: true

module Kippen
  module Changes
    # Brings back what was taken out, as far as there is room for it: where its seat is taken it
    # comes without, what was assigned in a place or mode that is gone stays aside; each said so.
    # host – where it shall be, if the one it was on is gone
    class BringBack < Change.of("bring_back", :id, host: nil)
      # What besides devices and buttons may lie aside, and in which list it stands.
      PARTS = { "place" => "places", "mode" => "modes", "shortlist" => "shortlists" }.freeze

      def make(draft)
        aside = draft.member("taken_out", [])
        bundle = aside.reverse.find { |item| item["id"] == id } ||
                 refuse("id", Words.say(:nothing_name_was_taken_out, id: Faults.show(id)))
        refuse("id", Words.say(:what_kept_cant_read_stays)) unless BringBack.readable?(bundle)

        if bundle["devices"]
          devices(draft, bundle)
        elsif bundle["button"]
          button(draft, bundle)
        end
        PARTS.each { |what, list| part(draft, bundle[what], list) if bundle[what] }
        rest = assignments(draft, bundle)
        links(draft, bundle)
        timing(draft, bundle)
        draft.set("taken_out", aside.flat_map { |item| item.equal?(bundle) ? rest : [item] })
      end

      # Is it of the shape that TakeOut makes? It may come from elsewhere.
      def self.readable?(bundle)
        lists = %w[devices assignments links].map { |list| bundle.fetch(list, []) }
        return false unless lists.all?(Array) && lists.flatten(1).all?(Hash) && bundle.fetch("button_timing", {}).is_a?(Hash)

        spots = lists[1].all? { |item| item["button"].is_a?(String) && Fitting::GESTURES.include?(item["gesture"]) }
        named = lists[0].all? { |item| Fitting::Ids.ok?(item["id"]) && item.fetch("buttons", []).is_a?(Array) }
        spots && named && parts_readable?(bundle) && button_readable?(bundle)
      end

      def self.parts_readable?(bundle)
        bundle.values_at(*PARTS.keys).compact.all? { |item| item.is_a?(Hash) && Fitting::Ids.ok?(item["id"]) }
      end

      def self.button_readable?(bundle)
        return true unless bundle["button"]

        bundle["button"].is_a?(Hash) && bundle["device"].is_a?(String) && bundle["index"].is_a?(Integer) &&
          !bundle["index"].negative?
      end
      private_class_method :parts_readable?, :button_readable?

      private

      # A shortlist that is stepped through brings its mode.
      def part(draft, item, list)
        if draft.list(list).find(item["id"])
          refuse("id", Words.say(:there_again_take_that_out, taken: item["name"] || item["id"]))
        end

        mode = item["mode"] if list == "shortlists"
        part(draft, mode, "modes") if mode.is_a?(Hash) && Fitting::Ids.ok?(mode["id"])
        draft.list(list).put(mode ? item.except("mode") : item)
      end

      def devices(draft, bundle)
        taken = bundle["devices"].map { |item| item["id"] }.select { |one| draft.list("devices").find(one) }
        refuse("id", Words.say(:there_again_take_that_out, taken: taken.first)) if taken.any?

        there = where(draft, bundle)
        ids = bundle["devices"].map { |item| item["id"] }
        bundle["devices"].each { |item| draft.list("devices").put(seated(draft, item.merge({ "host" => there }.compact), ids)) }
      end

      # The id of the host it comes to; nil where the fitting has none.
      def where(draft, bundle)
        hosts = draft.before.hosts
        return if draft.list("hosts").ids.empty?

        found = host ? hosts.find { |one| one.id == host } : of_before(hosts, bundle)
        refuse("host", host ? Words.say(:unknown_host, host: Faults.show(host)) : Words.say(:host_was_on_gone_say)) unless found
        bundle["devices"].each { |item| usable(draft.kind(item["kind"]), item, found.system) }
        found.id
      end

      def usable(kind, item, system)
        return if kind.nil? || kind.carries(system)

        refuse("host", Words.say(:cant_be_used_at, id: item["name"] || item["id"], system:))
      end

      # The one it was on, else the only one of its sort.
      def of_before(hosts, bundle)
        was = bundle["devices"].first&.fetch("host", nil)
        same = hosts.find { |one| one.id == was }
        return same if same || was.nil?

        alike = hosts.select { |one| one.system == bundle["system"] }
        alike.first if alike.size == 1
      end

      # Without its seat where that is gone or taken meanwhile.
      def seated(draft, item, along)
        seat = item["on"]
        return item unless seat.is_a?(Hash)

        carrier = draft.list("devices").find(seat["device"])
        free = draft.list("devices").to_a.none? { |other| other["on"] == seat }
        return item if along.include?(seat["device"]) || (carrier && free && carrier["host"] == item["host"])

        where = seat.values_at("device", "place").compact.join(", ")
        draft.left_out << Words.say(:comes_without_its_place_that, id: item["name"] || item["id"], seat: where)
        item.except("on")
      end

      # A device follows again where it has been given nothing of its own meanwhile.
      def links(draft, bundle)
        bundle.fetch("links", []).each do |link|
          if free?(draft, link) && Following.new(draft, link).same?
            draft.list("links").put(link)
          else
            draft.left_out << Words.say(:no_longer_follows, to: link["to"], from: link["from"])
          end
        end
      end

      # Are both there, and neither in another link that stands against it?
      def free?(draft, link)
        from, to = link.values_at("from", "to")
        list = draft.list("links")
        [from, to].all? { |one| draft.list("devices").find(one) && list.find(one).nil? } && list.to_a.none? do |one|
          one["from"] == to
        end
      end

      # At the place it had, as far as that is still there.
      def button(draft, bundle)
        unless draft.list("devices").find(bundle["device"])
          refuse("id", Words.say(:its_device_not_there_bring, device: bundle["device"]))
        end

        draft.alter_buttons(bundle["device"]) do |list|
          refuse("id", Words.say(:there_button_this_name_again)) if list.find(bundle["button"]["id"])
          list.insert(bundle["button"], bundle["index"])
        end
      end

      # Returns what has to stay aside, as a bundle of its own, in an Array.
      def assignments(draft, bundle)
        fits, rest = bundle.fetch("assignments", []).partition { |item| stands?(draft, item) }
        fits.each { |item| draft.rows.put(possible(draft, item)) }
        return [] if rest.empty?

        draft.left_out << Words.say(:stays_aside, count: rest.size, name: bundle["name"] || id)
        [bundle.slice("id", "name").merge("assignments" => rest)]
      end

      # What can't be there any more, for the device has no room for one more mode, say, comes back switched off, and told.
      def possible(draft, item)
        device = draft.view.device(item["button"].split("/").first)
        button = device.buttons.find { |one| one.ref == item["button"] }
        why = item["off"] || button.nil? ? nil : draft.cautions.reasons(button, item).first
        return item unless why

        draft.left_out << Words.say(:switched_off_kept, button: Words.button(device, button),
                                                        gesture: Words.gesture(item["gesture"]),
                                                        why: why.delete_suffix("."))
        item.merge("off" => true)
      end

      def stands?(draft, item)
        spot = Spot.of(item)
        place = spot.place == Fitting::EVERYWHERE || draft.list("places").find(spot.place)
        mode = spot.mode == Fitting::BASE || draft.list("modes").find(spot.mode)
        free = [item["gesture"], Placing::OTHER_LONG[item["gesture"]]].none? { |gesture| draft.rows.find(spot, gesture) }
        !!(place && mode && free && !follows?(draft, spot.button)) &&
          button_there?(draft, spot.button) && mode_there?(draft, item["action"])
      end

      # Was it there all the time, and has what another has?
      def follows?(draft, ref) = draft.before.button(ref) && draft.list("links").find(ref.split("/").first)

      def button_there?(draft, ref)
        device, button = ref.split("/", 2)
        draft.list("devices").find(device)&.fetch("buttons", [])&.any? { |one| one["id"] == button }
      end

      def mode_there?(draft, action)
        !action.is_a?(Hash) || action["kind"] != "mode" || action["mode"].nil? || !draft.list("modes").find(action["mode"]).nil?
      end

      def timing(draft, bundle)
        given = bundle.fetch("button_timing", {})
        draft.set("button_timing", draft.member("button_timing", {}).merge(given)) if given.any?
      end
    end
  end
end
