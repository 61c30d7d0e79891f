# frozen_string_literal: true

require_relative "tuning/trial"
require_relative "tuning/replays"
require_relative "tuning/smoothed"
require_relative "tuning/space"
require_relative "tuning/fit"
require_relative "tuning/judged"
require_relative "tuning/answer"
require_relative "tuning/drift"

module Kippen
  # The timing that fits a person, from a few prompted presses: see docs/tuning.md.
  module Tuning
  end
end
