# frozen_string_literal: true

module Kippen
  module Formats
    # The open format fitting/1 as text. See docs/fitting.md.
    module FittingJson
      # Takes JSON text; returns a Fitting. Raises Invalid with every fault.
      def self.read(text) = Fitting.read(StrictJson.read(text, limit: Limits::FITTING_BYTES))
    end
  end
end
