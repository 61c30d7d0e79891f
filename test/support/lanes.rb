# frozen_string_literal: true

require "json"

module Kippen
  # Which story is told in which of two lanes, so that both end at about the same time: the longest first, each to the
  # lane that is done sooner, by the seconds that were measured (times.json, made anew by bin/test --times).
  class Lanes
    TIMES = File.join(__dir__, "times.json")
    # What each lane does before it tells stories, and how long what is no test of Ruby's takes.
    BEFORE = [%w[core server], %w[lint web]].freeze
    OTHERS_S = { "lint" => 40.0, "web" => 10.0 }.freeze
    # A new test's.
    UNKNOWN_S = 5.0

    # "area, test, seconds, how it ended" in lines, as what is kept.
    def self.measured(lines)
      rows = lines.map { |line| line.chomp.split("\t") }.group_by(&:first)
      rows.transform_values { |tests| tests.to_h { |_, test, seconds| [test, Float(seconds).round(1)] }.sort.to_h }
    end

    # times – { area => { test => seconds } }
    def initialize(times = File.file?(TIMES) ? JSON.parse(File.read(TIMES)) : {}) = @times = times

    # names – of stories, in any order; busy – so many seconds each lane has something else to do
    # Returns [[name…], [name…]], the same for the same.
    def split(names, busy: [0, 0])
      ends = busy.dup
      names.sort_by { |name| [-seconds(name), name] }.each_with_object([[], []]) do |name, lanes|
        lane = ends.index(ends.min)
        lanes[lane] << name
        ends[lane] += seconds(name)
      end
    end

    # How long each lane has to do before its stories. only – { area => what of it is run: tests, suites or files }
    def busy(areas, only = {})
      BEFORE.map { |own| (own & areas).sum { |area| OTHERS_S.fetch(area) { of(area, only[area]) } } }
    end

    private

    def seconds(name) = @times.fetch("system", {}).fetch(name, UNKNOWN_S)

    def of(area, only)
      all = @times.fetch(area, {})
      return all.values.sum unless only

      only.sum { |one| all.sum { |test, seconds| test == one || test.start_with?("#{one}#") ? seconds : 0 } }
    end
  end
end

if $PROGRAM_NAME == __FILE__
  if ARGV.first == "--measured"
    File.write(Kippen::Lanes::TIMES, "#{JSON.pretty_generate(Kippen::Lanes.measured(File.readlines(ARGV[1])))}\n")
  else
    chosen, *areas = ARGV
    only = areas.to_h { |area| [area, File.join(chosen, "#{area}.only")] }.select { |_, file| File.file?(file) }
    puts JSON.generate(Kippen::Lanes.new.busy(areas, only.transform_values { |file| File.readlines(file, chomp: true) }))
  end
end
