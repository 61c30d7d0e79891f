# frozen_string_literal: true

module Kippen
  module Changes
    # A new device of a kind, with its buttons. of – the kind; host – where there is only one it need not be said
    class AddDevice < Change.of("add_device", :of, variant: nil, name: nil, host: nil, on: nil, version: nil, worked_with: nil,
                                                   mounting: nil, posture: nil)
      # What may be said of it besides.
      GIVEN = %i[on version worked_with mounting posture].freeze

      def make(draft)
        kind = draft.kind(of) || refuse("of", Words.say(:unknown_kind, kind: Faults.show(of)))
        chosen = variant || kind.variants.first&.fetch("id")
        words = name || named(kind, chosen)
        made = { "id" => Fitting::OwnIds.from(words, taken(draft), "device"), "name" => numbered(draft, words), "kind" => kind.id,
                 "host" => on_host(draft, kind), "variant" => chosen, "buttons" => kind.fitting_buttons(chosen) }
        draft.list("devices").put(GIVEN.to_h { |member| [member.to_s, public_send(member)] }.merge(made).compact)
      end

      private

      def on_host(draft, kind)
        refuse("host", Words.say(:add_host_first_what_device)) if draft.list("hosts").ids.empty?

        found = draft.list("hosts").find(host || draft.list("hosts").ids.first) ||
                refuse("host", Words.say(:unknown_host, host: Faults.show(host)))
        refuse("host", Words.say(:cant_be_used_at, id: kind.name, system: found["system"])) unless kind.carries(found["system"])
        Moving.unsure(draft, kind, kind.name, found["system"])
        found["id"]
      end

      def named(kind, variant)
        words = kind.variants.find { |one| one["id"] == variant }
        words ? "#{kind.name}, #{words["name"]}" : kind.name
      end

      # The second of a name gets a number that people can say.
      def numbered(draft, name)
        names = draft.list("devices").to_a.map { |item| item["name"] }
        return name unless names.include?(name)

        "#{name} #{(2..).find { |count| !names.include?("#{name} #{count}") }}"
      end

      def taken(draft) = draft.list("devices").ids + draft.member("taken_out", []).map { |item| item["id"].split("/").first }
    end

    # set – some of MEMBERS; nil takes one away. battery – one of Fitting::BATTERY, as it is noted. What sits on a device goes
    # along to another host.
    class ChangeDevice < Change.of("device", :device, :set)
      MEMBERS = %w[name host on variant version worked_with mounting posture off battery].freeze

      # Fitting::Devices of what sits on a device, and on that.
      def self.riders(fitting, id)
        on_it = fitting.devices.select { |device| device.seat&.device == id }
        on_it + on_it.flat_map { |other| riders(fitting, other.id) }
      end

      def make(draft)
        found = draft.device(device)
        given = set.slice(*MEMBERS)
        given = given.merge("version_at" => draft.at) if given.key?("version") && given["version"] != found.version
        given = given.merge("off" => given["off"] || nil) if given.key?("off")
        given = given.merge("battery" => { "is" => given["battery"], "by" => draft.by, "at" => draft.at }) if given["battery"]
        move(draft, found, given["host"]) if given["host"] && given["host"] != found.host
        draft.alter("devices", device, given)
      end

      private

      def move(draft, found, host)
        there = draft.before.host(host) || refuse("host", Words.say(:unknown_host, host: Faults.show(host)))
        along = ChangeDevice.riders(draft.before, device)
        Moving.to(draft, [found, *along], there.system)
        along.each { |rider| draft.alter("devices", rider.id, "host" => host) }
      end
    end

    # A step of getting ready is done, by whoever makes the change, or not done after all.
    class Ready < Change.of("ready", :device, :step, :done)
      def make(draft)
        found = draft.device(device)
        steps = draft.list("devices").find(device).fetch("ready", {})
        record = Draft.with(steps.fetch(step, {}), "by" => draft.by, "at" => draft.at, "version" => found.version)
        draft.alter("devices", device, "ready" => done ? steps.merge(step => record) : steps.except(step))
      end
    end
  end
end
