# frozen_string_literal: true

require "digest"
require "fileutils"
require "json"

module Kippen
  # Stories that two lanes tell between them: each takes the next that nobody has begun, so that both end at about the
  # same time whatever else the machine has to do. In random order, those that take long before all others, for what is
  # left at the end must be short.
  class Shared
    # The stories that were measured to take long, { name => seconds }; made anew by bin/test --times.
    TIMES = File.join(__dir__, "times.json")
    LONG_S = 12.0

    # Lines of "area, test, seconds, how it ended" as what is kept.
    def self.measured(lines)
      rows = lines.map { |line| line.chomp.split("\t") }.select { |area,| area == "system" }
      rows.to_h { |_, test, seconds| [test, Float(seconds).round(1)] }.select { |_, seconds| seconds >= LONG_S }.sort.to_h
    end

    # folder – where what was begun is noted; times – { name => seconds }
    def initialize(folder, times: File.file?(TIMES) ? JSON.parse(File.read(TIMES)) : {})
      @folder = folder
      @times = times
      FileUtils.mkdir_p(folder)
    end

    # names – in any order; the same for the same seed.
    def order(names, seed) = names.sort.shuffle(random: Random.new(seed)).partition { |name| @times.key?(name) }.flatten

    # True for the one who asks first.
    def mine?(name)
      File.open(File.join(@folder, Digest::SHA256.hexdigest(name)), File::CREAT | File::EXCL | File::WRONLY, &:close)
      true
    rescue Errno::EEXIST
      false
    end

    # Has Minitest run those of these that no other lane has begun, in place of all that it knows.
    def told_by_minitest(names)
      shared = self
      Minitest.define_singleton_method(:__run) do |reporter, _options|
        suites = Minitest::Runnable.runnables.to_h { |suite| [suite.name, suite] }
        shared.order(names, Minitest.seed).each do |name|
          suite, test = name.split("#", 2)
          Minitest::Runnable.run_one_method(suites.fetch(suite), test, reporter) if shared.mine?(name)
        end
      end
    end
  end
end

if $PROGRAM_NAME == __FILE__
  File.write(Kippen::Shared::TIMES, "#{JSON.pretty_generate(Kippen::Shared.measured(File.readlines(ARGV[0])))}\n")
end
