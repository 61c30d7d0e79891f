# frozen_string_literal: true

module Kippen
  # How much of anything is taken. Input is hostile until it is read; these
  # bounds are generous for a real client and small for a machine.
  module Limits
    FITTING_BYTES = 2_000_000
    CASES_BYTES = 64_000_000
    JSON_DEPTH = 40
    HOSTS = 50
    DEVICES = 200
    BUTTONS = 2_000
    MODES = 100
    PLACES = 1_000
    ASSIGNMENTS = 20_000
    NAME_CHARACTERS = 120
    TRACE_FIELD_CHARACTERS = 200
    LATEST_US = 2**53
  end
end
