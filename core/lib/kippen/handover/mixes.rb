# frozen_string_literal: true

module Kippen
  module Handover
    # While the devices of a host are switched one after the other, or one of them is out of reach, some work by the old and
    # some by the new. Each such mix is looked through for the two faults that leave a client helpless.
    module Mixes
      FINDERS = [Check::NoHelp, Check::NoWayBack].freeze

      # device – the id of the one that is still as it was; findings – [Finding] that neither the old nor the new has
      Mix = Struct.new(:device, :findings, keyword_init: true)

      module_function

      # now – { device id => what is on it }; later – what shall be on those that are handed over. Returns [Mix] of those that
      # would bring something. Raises Deadline::Passed.
      def of(fitting, knowledge, now:, later:, deadline: Deadline::NEVER)
        faults = ->(on) { faults(fitting, knowledge, on, deadline) }
        ends = [now, now.merge(later)].flat_map(&faults)
        later.keys.filter_map do |device|
          on = now.merge(later).merge(device => now[device])
          bad = faults.call(on).reject { |one| ends.any? { |other| other.same?(one) } }
          Mix.new(device:, findings: bad.freeze).freeze if bad.any?
        end
      end

      def faults(fitting, knowledge, on, deadline)
        deadline.check
        asked = Check::Case.new(InForce.of(fitting, on), knowledge, deadline:)
        FINDERS.flat_map { |finder| finder.new(asked).findings }
      end
      private_class_method :faults
    end
  end
end
