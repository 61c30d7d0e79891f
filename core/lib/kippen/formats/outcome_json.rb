# frozen_string_literal: true

require "json"

module Kippen
  module Formats
    # Outcomes as JSON lines: what `bin/kippen replay` prints.
    module OutcomeJson
      def self.line(outcome) = JSON.generate(outcome.to_h)
    end
  end
end
