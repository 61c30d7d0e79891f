# frozen_string_literal: true

module Kippen
  module Changes
    # Several new devices in one go, each where its kind belongs: at a host of that system, which is made where
    # there is none; in the first free seat of what it can sit on there.
    # devices – [{ "of" => kind, "variant" => …, "name" => … }]; kinds – documents of those that the client doesn't have yet
    class AddDevices < Change.of("add_devices", :devices, kinds: [])
      def make(draft)
        kinds.each { |document| PutKind.new(document:).make(draft) }
        # What others may sit on comes first.
        wanted = devices.each_with_index.sort_by { |sent, index| [kind(draft, sent, index).takes.empty? ? 1 : 0, index] }
        wanted.each do |sent, index|
          made = kind(draft, sent, index)
          host = AddDevices.host(draft, made)
          AddDevice.new(**AddDevices.plain(sent), host:, on: AddDevices.seat(draft, made, host)).make(draft)
        end
      end

      # The id of the host it belongs to. With devices of a kind that works at several, one that is there is taken; one that
      # was there before, where it surely works, goes before a new one.
      def self.host(draft, kind)
        hosts = draft.list("hosts").to_a
        found = first(hosts, kind.belongs) || first(draft.before.list("hosts"), kind.sure)
        return found["id"] if found

        # Devices that named no host were at the one that needs none: it gets a name before another comes.
        implicit = Fitting::ListReader::THE_ONE_HOST.system
        added = [*(implicit if hosts.empty? && draft.list("devices").ids.any?), kind.belongs.first].uniq
        added.each { |system| PutHost.new(host: { "name" => Words.say(:"new_#{system}"), "system" => system }).make(draft) }
        draft.list("hosts").to_a.last["id"]
      end

      def self.first(hosts, systems) = systems.lazy.filter_map { |system| hosts.find { |host| host["system"] == system } }.first
      private_class_method :first

      # Where it sits: { "device", "place" } or nil.
      def self.seat(draft, kind, host)
        items = draft.list("devices").to_a
        taken = items.filter_map { |item| item["on"] }
        items.select { |item| item["host"] == host }.each do |carrier|
          carries = draft.kind(carrier["kind"])
          next unless carries&.takes&.include?(kind.id)

          free = carries.seats.map { |one| { "device" => carrier["id"], "place" => one["id"] } }.find do |seat|
            !taken.include?(seat)
          end
          return free if free
        end
        nil
      end

      def self.plain(sent) = { of: sent["of"], variant: sent["variant"], name: sent["name"] }

      private

      def kind(draft, sent, index)
        draft.kind(sent["of"]) || raise(Invalid.at("/change/devices/#{index}/of",
                                                   Words.say(:unknown_kind, kind: Faults.show(sent["of"]))))
      end
    end
  end
end
