# frozen_string_literal: true

require_relative "tuning/trial"
require_relative "tuning/touches"
require_relative "tuning/judge"
require_relative "tuning/point"
require_relative "tuning/compared"
require_relative "tuning/cell_numbers"
require_relative "tuning/line"
require_relative "tuning/cells"
require_relative "tuning/replays"
require_relative "tuning/copies"
require_relative "tuning/seen"
require_relative "tuning/general"
require_relative "tuning/evidence"
require_relative "tuning/space"
require_relative "tuning/costs"
require_relative "tuning/search"
require_relative "tuning/fit"
require_relative "tuning/judged"

require_relative "tuning/unfitted"
require_relative "tuning/by_hand"
require_relative "tuning/promise"
require_relative "tuning/unsaved"
require_relative "tuning/risks"
require_relative "tuning/side_by_side"
require_relative "tuning/sweeps"
require_relative "tuning/answer"
require_relative "tuning/drift"
require_relative "tuning/marks"
require_relative "tuning/offer"
require_relative "tuning/prompts"
require_relative "tuning/worn"
require_relative "tuning/along"
require_relative "tuning/pays"
require_relative "tuning/explained"
require_relative "tuning/gesture_use"

module Kippen
  # The timing that fits a person, from a few prompted presses: see docs/tuning.md.
  module Tuning
  end
end
