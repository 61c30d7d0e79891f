# frozen_string_literal: true

module Kippen
  module Changes
    # Devices, hosts, modes, places and shortlists of a draft as they are now, for whoever asks a Fitting
    # for one. What the draft has not changed is that of the fitting before.
    class View
      def initialize(draft)
        @draft = draft
        @read = {}.compare_by_identity
      end

      def host(id) = now("hosts", id, @draft.before.host(id)) { |reader| reader.hosts.first }

      def device(id)
        now("devices", id, @draft.before.device(id)) do |reader|
          reader.devices(@draft.before.hosts | [host_of(id)].compact).first
        end
      end

      def mode(id) = now("modes", id, @draft.before.mode(id)) { |reader| reader.modes.first }
      def place(id) = now("places", id, @draft.before.place(id)) { |reader| reader.places.first }

      # The one by its id, or nil: nothing but what a host's limits need.
      def shortlist(id)
        item = @draft.list("shortlists").find(id) or return
        Fitting::Shortlist.new(id:, name: item["name"], host: item.fetch("host") { @draft.before.hosts.first.id },
                               works: item["works"])
      end

      # Ids of the modes that a device carries, in the order in which they came: it takes them, or has something in them.
      def carried(device) = Fitting.carried(@draft.rows.of_device(device).reject { |item| item["off"] })

      private

      # Read from the document only where it is another than before.
      def now(list, id, before, &)
        item = @draft.list(list).find(id)
        return before if item.nil? || (before && @draft.before.list(list).any? { |old| old.equal?(item) })

        @read[item] ||= yield(Fitting::ListReader.new({ list => [item], "kinds" => @draft.list("kinds").to_a }, Faults.new))
      end

      def host_of(device) = host(@draft.list("devices").find(device)["host"])
    end
  end
end
