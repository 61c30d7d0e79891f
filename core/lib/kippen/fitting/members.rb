# frozen_string_literal: true

module Kippen
  class Fitting
    # Reads single members of an object while a fitting is read. Needs @faults.
    module Members
      private

      # One of a few words, or the default; a wrong one is told and the default returned.
      def choice(item, key, allowed, default, pointer)
        value = item.fetch(key, default)
        return value if allowed.include?(value)

        @faults.add("#{pointer}/#{key}", "is #{Faults.show(value)}, must be one of #{allowed.join(", ")}") || default
      end

      def flag(item, key, pointer)
        value = item.fetch(key, false)
        return value if [true, false].include?(value)

        @faults.add("#{pointer}/#{key}", "is #{Faults.show(value)}, must be true or false")
      end
    end
  end
end
