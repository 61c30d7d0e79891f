# frozen_string_literal: true

module Kippen
  module Server
    # Times as they are told.
    module Times
      # In ISO 8601, UTC, to the millisecond.
      def self.iso(time) = time.utc.strftime("%Y-%m-%dT%H:%M:%S.%LZ")
    end
  end
end
