# frozen_string_literal: true

module Kippen
  module Changes
    # Devices, hosts and modes of a draft as they are now, for whoever asks a Fitting for one. What
    # the draft has not changed is that of the fitting before.
    class View
      def initialize(draft)
        @draft = draft
        @read = {}.compare_by_identity
      end

      def host(id) = now("hosts", id, @draft.before.host(id)) { |reader| reader.hosts.first }
      def device(id) = now("devices", id, @draft.before.device(id)) { |reader| reader.devices(@draft.before.hosts | [host_of(id)].compact).first }
      def mode(id) = @draft.before.mode(id)

      private

      # Read from the document only where it is another than before.
      def now(list, id, before, &)
        item = @draft.list(list).find(id)
        return before if item.nil? || (before && @draft.before.list(list).any? { |old| old.equal?(item) })

        @read[item] ||= yield(Fitting::ListReader.new({ list => [item] }, Faults.new))
      end

      def host_of(device) = host(@draft.list("devices").find(device)["host"])
    end
  end
end
