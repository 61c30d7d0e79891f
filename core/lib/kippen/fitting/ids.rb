# frozen_string_literal: true

module Kippen
  class Fitting
    # Ids of hosts, devices, buttons, modes, places, apps and parts.
    module Ids
      PATTERN = /\A[a-z0-9\-_.]{1,64}\z/
      ALLOWED = "1 to 64 of a-z 0-9 - _ ."

      # A trace may speak of "app" or "app/part".
      SPOT = %r{\A[a-z0-9\-_.]{1,64}(?:/[a-z0-9\-_.]{1,64})?\z}

      def self.ok?(value) = value.is_a?(String) && value.valid_encoding? && PATTERN.match?(value)
      def self.spot?(value) = value.valid_encoding? && SPOT.match?(value)
    end
  end
end
