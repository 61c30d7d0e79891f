# frozen_string_literal: true

require "coverage"
require "json"
require "minitest"
require_relative "lines"

module Kippen
  # What each test touches, here and in the processes that it starts, written down as it ends.
  module Record
    # How a process that is started is told to write it down.
    RECORDED = "-r#{File.join(__dir__, "recorded.rb")}".freeze

    class << self
      # Begins it, before anything of the project is loaded; what gems do is not counted. folder – where it is written down
      def begin(area, folder)
        @area = area
        @file = File.join(folder, "#{Process.pid}.jsonl")
        Bundler.require(:default, :test)
        Coverage.start(lines: true)
        ENV["KIPPEN_TOUCHED"] = @started = File.join(folder, "started-#{Process.pid}").tap { |made| Dir.mkdir(made) }
        ENV["RUBYOPT"] = [ENV.fetch("RUBYOPT", nil), RECORDED].compact.join(" ")
        Minitest.extensions << "record"
        Minitest.define_singleton_method(:plugin_record_init) { |_| reporter << Reporter.new }
      end

      # What loading touches stands by itself, with the empty name.
      def loaded
        @loaded = touched
        keep("", @loaded)
      end

      def told(result) = keep("#{@area} #{result.klass}##{result.name}", Lines.merge(touched, started))

      # What was written down in a folder, as one file: { tree, loaded, tests: { "area test" => lines } }
      def gather(folder, tree, file)
        rows = Dir[File.join(folder, "*.jsonl")].flat_map { |one| File.readlines(one).map { |line| JSON.parse(line) } }
        tests = rows.group_by(&:first).transform_values do |same|
          same.map { |_, text| Lines.read(text) }.reduce { |a, b| Lines.merge(a, b) }
        end
        loaded = tests.delete("") || {}
        File.write(file, JSON.generate("tree" => tree, "loaded" => Lines.write(loaded),
                                       "tests" => tests.transform_values { |bits| Lines.write(bits) }))
      end

      private

      # Since this was asked last.
      def touched = Lines.of(Coverage.result(stop: false, clear: true))

      def keep(test, bits) = File.write(@file, "#{JSON.generate([test, Lines.write(bits)])}\n", mode: "a")

      # By the processes that have ended: what loading runs counts where it was run again.
      def started
        Dir[File.join(@started, "*.lines")].reduce({}) do |bits, file|
          once, again = File.readlines(file, chomp: true).reject(&:empty?).map { |line| line.split("\t") }.partition do |how, *|
            how == "once"
          end
          once = Lines.read(once.to_h { |_, *pair| pair }).to_h { |name, mask| [name, mask & ~@loaded.fetch(name, 0)] }
          File.delete(file)
          [once, Lines.read(again.to_h { |_, *pair| pair })].reduce(bits) { |all, more| Lines.merge(all, more) }
        end
      end
    end

    # Hears of each test.
    class Reporter < Minitest::AbstractReporter
      def start = Record.loaded
      def record(result) = Record.told(result)
    end
  end
end

Kippen::Record.gather(*ARGV) if $PROGRAM_NAME == __FILE__
