# frozen_string_literal: true

module Kippen
  module Changes
    # Devices of another fitting, or of this one, with what is assigned on them: as new ones of a host, or onto a device that is
    # there, button by button as Kinds::Match pairs them. What doesn't fit is left out, and told.
    #   document – of the fitting they are taken from; host – where they come to
    #   devices – [{ "id" => there, "onto" => a device here, or nil: a new one }]
    #   places – ids there whose assignments go along; nil: of all of them
    #   assignments, timing – do they go along?
    class CarryOver < Change.of("carry_over", :document, :devices, :host, places: nil, assignments: true, timing: true)
      # draft – what they come into; from – the Fitting they come from; host – Fitting::Host they come to
      Way = Struct.new(:draft, :from, :host) do
        def parts = @parts ||= Parts.new(draft, from, host)
      end

      def make(draft)
        way = Way.new(draft, Import.fitting(document), host_of(draft))
        taken = devices.each_with_index.map { |sent, index| wanted(way, sent, index) }
        taken.each { |one| one.bring(timing:) }
        assign(taken, Fitting.read(draft.document), draft.knowledge) if assignments
        taken.each { |one| one.time(Fitting.read(draft.document)) } if timing
      end

      private

      def host_of(draft) = draft.view.host(host) || refuse("host", Words.say(:unknown_host, host: Faults.show(host)))

      # middle – the Fitting with the new devices, before anything is on them
      def assign(taken, middle, knowledge) = taken.each { |one| one.assign(middle, knowledge.of(middle), places) }

      def wanted(way, sent, index)
        device = way.from.device(sent["id"]) || refuse("devices/#{index}/id", Words.say(:no_device, id: Faults.show(sent["id"])))
        sent["onto"] ? onto(way, device, sent["onto"], index) : NewDevice.new(way, device)
      end

      def onto(way, device, id, index)
        way.draft.own_device(id)
        target = way.draft.device(id)
        return Onto.new(way, device, target) if target.host == way.host.id

        refuse("devices/#{index}/onto", Words.say(:onto_elsewhere, device: target.name || target.id))
      end
    end
  end
end
