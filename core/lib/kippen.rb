# frozen_string_literal: true

# The core: everything Kippen computes. Standard library only; no I/O of its
# own, no clock, no environment, no chance: time is always an argument.
module Kippen
end

require "set"
require_relative "kippen/errors"
require_relative "kippen/deadline"
require_relative "kippen/limits"
require_relative "kippen/fitting"
require_relative "kippen/press"
require_relative "kippen/words"
require_relative "kippen/catalogue"
require_relative "kippen/kinds"
require_relative "kippen/host_kinds"
require_relative "kippen/cues"
require_relative "kippen/own_clicks"
require_relative "kippen/own_doing"
require_relative "kippen/cautions"
require_relative "kippen/consequences"
require_relative "kippen/arrangements"
require_relative "kippen/settings"
require_relative "kippen/knowledge"
require_relative "kippen/reach"
require_relative "kippen/changes"
require_relative "kippen/standing"
require_relative "kippen/pointer"
require_relative "kippen/standins"
require_relative "kippen/statistics"
require_relative "kippen/tuning"
require_relative "kippen/formats/strict_json"
require_relative "kippen/formats/fitting_json"
require_relative "kippen/formats/trace_csv"
require_relative "kippen/formats/cases_json"
require_relative "kippen/formats/outcome_json"
require_relative "kippen/formats/trials_json"
require_relative "kippen/command_line"
