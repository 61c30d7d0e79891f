# frozen_string_literal: true

module Kippen
  # Each test as it ends, added to a file: "area, test, seconds, how it ended"; and no other after the first that fails,
  # where that is wanted.
  class Measured < Minitest::AbstractReporter
    # area – of bin/test; times – the file, or nil; first – what the first that fails leaves behind, or nil
    def self.report(area, times:, first:)
      Minitest.extensions << "measured"
      Minitest.define_singleton_method(:plugin_measured_init) { |_| reporter << Measured.new(area, times, first) }
    end

    def initialize(area, times, first)
      super()
      @area = area
      @times = times
      @first = first
    end

    def prerecord(_suite, _name)
      raise Interrupt if @first && File.exist?(@first)
    end

    def record(result)
      if @times
        File.write(@times, "#{[@area, "#{result.klass}##{result.name}", result.time.round(2), result.result_code].join("\t")}\n",
                   mode: "a")
      end
      FileUtils.touch(@first) if @first && !result.passed? && !result.skipped?
    end
  end
end
