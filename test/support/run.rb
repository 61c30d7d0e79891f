# frozen_string_literal: true

# Runs tests of an area, as bin/test asks it:
#   ruby test/support/run.rb AREA FILE… [-- what Minitest takes]
# LANE_NUMBER=1 or 2: of the stories, this lane's, BUSY="[s, s]" being what each lane does before; ONLY=file: only the tests that it
# names; TIMES=file: the seconds of each are added to it; FIRST=file: the first that fails makes it, and no other begins
# once it is there; RECORD=folder: what each test touches is written down there.
require "bundler/setup"
require "fileutils"
require "json"
require "minitest"
area = ARGV.shift
files = ARGV.take_while { |argument| argument != "--" }
ARGV.replace(ARGV.drop(files.size + 1))

require_relative "chosen"
require_relative "measured"
if (folder = ENV.fetch("RECORD", nil))
  require_relative "record"
  Kippen::Record.begin(area, folder)
end
files.each { |file| require File.expand_path(file) }
names = Kippen::Chosen.names(area, lane: ENV.fetch("LANE_NUMBER", nil), busy: JSON.parse(ENV.fetch("BUSY", "[0, 0]")), only: ENV.fetch("ONLY", nil))
Kippen::Chosen.keep(names) if names
Kippen::Measured.report(area, times: ENV.fetch("TIMES", nil), first: ENV.fetch("FIRST", nil))
