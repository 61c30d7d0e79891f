# frozen_string_literal: true

# Runs tests of an area, as bin/test asks it:
#   ruby test/support/run.rb AREA FILE… [-- what Minitest takes]
# ONLY=file: only the tests that it names; SHARED=folder: of the stories those that another lane has not begun, noted there;
# TIMES=file: the seconds of each are added to it; FIRST=file: the first that fails makes it, and no other begins once it
# is there; RECORD=folder: what each test touches is written down there.
require "bundler/setup"
require "fileutils"
require "minitest"
area = ARGV.shift
files = ARGV.take_while { |argument| argument != "--" }
ARGV.replace(ARGV.drop(files.size + 1))

require_relative "chosen"
require_relative "measured"
require_relative "shared"
if (folder = ENV.fetch("RECORD", nil))
  require_relative "record"
  Kippen::Record.begin(area, folder)
end
files.each { |file| require File.expand_path(file) }
only = ENV.fetch("ONLY", nil)
names = only && Kippen::Chosen.of(File.readlines(only, chomp: true))
if area == "system" && (folder = ENV.fetch("SHARED", nil))
  Kippen::Shared.new(folder).told_by_minitest(names || Kippen::Chosen.all)
elsif names
  Kippen::Chosen.keep(names)
end
Kippen::Measured.report(area, times: ENV.fetch("TIMES", nil), first: ENV.fetch("FIRST", nil))
