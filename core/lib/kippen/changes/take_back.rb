# frozen_string_literal: true

module Kippen
  module Changes
    # Takes back what some revisions changed, whatever was changed since: what somebody changed
    # anew stays, and is told.
    # revisions – [[Fitting before, after]…], newest last
    class TakeBack < Change.of(nil, :revisions)
      def make(draft)
        draft.become(revisions.reverse
          .reduce(draft.before.document) { |document, (before, after)| without(draft, document, before, after) })
      end

      private

      def without(draft, document, before, after)
        inverse = Addresses.changed(after.document, before.document)
        # What is as it was before already, for it was taken out since, is no more to be taken back.
        inverse = inverse.reject { |address, (_, back)| same?(Slots.at(document, address), back) }
        possible, changed_since = inverse.partition { |address, (was, _)| same?(Slots.at(document, address), was) }
        done = valid?(patched = patch(document, possible.to_h)) ? patched : step_by_step(document, possible, changed_since)
        tell(draft, before, after, changed_since)
        done
      end

      def patch(document, inverse) = inverse.reduce(document) { |so_far, (address, (_, back))| Slots.put(so_far, address, back) }

      # Together it can't be: as much as can.
      def step_by_step(document, possible, stays)
        possible.each_with_object(document) do |(address, slots), so_far|
          changed = Slots.put(so_far, address, slots[1])
          next changed if valid?(changed)

          stays << [address, slots]
        end
      end

      def valid?(document)
        Fitting.read(document)
        true
      rescue Invalid
        false
      end

      def same?(one, other) = one == other || one.to_set == other.to_set

      def tell(draft, before, after, stays)
        return if stays.empty?

        words = Changes::Differences.new(before, after, draft.knowledge).words(only: stays.map(&:first))
        draft.left_out.concat(words.map { |sentence| Words.say(:changed_since_so_stays, sentence:) })
      end
    end
  end
end
