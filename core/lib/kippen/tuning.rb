# frozen_string_literal: true

require_relative "tuning/trial"
require_relative "tuning/replays"
require_relative "tuning/smoothed"
require_relative "tuning/space"
require_relative "tuning/fit"
require_relative "tuning/judged"
require_relative "tuning/watch"
require_relative "tuning/unfitted"
require_relative "tuning/answer"
require_relative "tuning/drift"
require_relative "tuning/marks"
require_relative "tuning/offer"
require_relative "tuning/prompts"
require_relative "tuning/worn"
require_relative "tuning/by_hand"
require_relative "tuning/along"
require_relative "tuning/pays"
require_relative "tuning/explained"
require_relative "tuning/uses"

module Kippen
  # The timing that fits a person, from a few prompted presses: see docs/tuning.md.
  module Tuning
  end
end
