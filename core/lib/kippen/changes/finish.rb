# frozen_string_literal: true

module Kippen
  module Changes
    # The end of every change: what follows is brought along, the whole is validated once.
    module Finish
      # fitting – the new one; spots – [Spot] that it touched, those spoken of first
      # left_out, notes – sentences; before – the Fitting it was made on
      Result = Struct.new(:before, :fitting, :spots, :left_out, :notes, :knowledge, keyword_init: true) do
        # { address => [what was there, what is there now] }, see Addresses.
        def touched = @touched ||= Addresses.changed(before.document, fitting.document)

        def consequences = Consequences.new(before, fitting, knowledge)
        def words = Changes::Differences.new(before, fitting, knowledge).words
      end

      # How many touched spots are told.
      MOST_SPOTS = 50

      # Raises Invalid.
      def self.of(draft)
        draft.deadline.check
        Following.follow(draft) unless draft.whole?
        draft.deadline.check
        result = whole(draft)
        draft.deadline.check
        fitting = result.fitting
        touched = result.touched.keys.filter_map { |address| Spot.new(*address.drop(1)) if address.first == "assignments" }
        spots = (draft.spots | touched).select { |spot| fitting.button(spot.button) && draft.before.button(spot.button) }
        result.spots = spots.first(MOST_SPOTS)
        result
      end

      def self.whole(draft) = result_of(draft, Fitting.read(draft.document)).tap { |result| kept_kinds(result) }

      # A kind that devices are of stays, whatever takes it away.
      def self.kept_kinds(result)
        before, after = [result.before, result.fitting].map { |fitting| fitting.list("kinds").map { |kind| kind["id"] } }
        gone = before - after
        used = gone.empty? ? [] : result.fitting.devices.select { |device| gone.include?(device.kind) }
        return unless used.any?

        raise Invalid.at("/change", Words.say(:kind_in_use, devices: used.map { |device| device.name || device.id }.join(", ")))
      end

      def self.result_of(draft, fitting)
        Result.new(before: draft.before, fitting:, spots: draft.spots, left_out: draft.left_out.uniq, notes: draft.notes.uniq,
                   knowledge: draft.knowledge.of(fitting))
      end
      private_class_method :whole, :kept_kinds, :result_of
    end
  end
end
