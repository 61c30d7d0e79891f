# frozen_string_literal: true

module Kippen
  # How much of anything is taken. Input is hostile until it is read; these
  # bounds are generous for a real client and small for a machine.
  module Limits
    FITTING_BYTES = 2_000_000
    CASES_BYTES = 32_000_000
    JSON_DEPTH = 40
    HOSTS = 50
    DEVICES = 200
    BUTTONS = 2_000
    MODES = 100
    PLACES = 1_000
    SHORTLISTS = 100
    APPS = 200
    ASSIGNMENTS = 20_000
    WANTS = 500
    LINKS = 200
    HANDS = 20
    TAKEN_OUT = 500
    STEPS = 100
    KINDS = 50
    KIND_BYTES = 200_000
    CODES = 20
    SETTINGS = 50
    ARRANGEMENTS = 100
    KNOWN = 500
    NAME_CHARACTERS = 120
    TRACE_FIELD_CHARACTERS = 200
    LATEST_US = 2**53
    # A hold or long-press that is kept down repeats so often and no more: time in a trace
    # may leap by centuries.
    REPEATS = 100_000
    # An explanation keeps everything; a replay keeps nothing and takes any number of rows.
    EXPLAINED_ROWS = 100_000
  end
end
