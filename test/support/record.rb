# frozen_string_literal: true

require "coverage"
require "json"
require "minitest"
require_relative "lines"

module Kippen
  # What each test touches, written down as it ends: of the core and the server what a suite touches, in a process of its
  # own, where counting once is all but free; of a story what it touches here and in the processes that it starts.
  module Record
    # Begins it, before anything of the project is loaded. folder – where it is written down
    def self.begin(area, folder)
      @folder = folder
      Bundler.require(:default, :test)
      area == "system" ? Coverage.start(lines: true) : Coverage.start(oneshot_lines: true)
      # Processes that are started write down what they touch as they end.
      ENV["KIPPEN_TOUCHED"] = @started = File.join(folder, "started-#{Process.pid}").tap { |made| Dir.mkdir(made) }
      ENV["RUBYOPT"] = [ENV.fetch("RUBYOPT", nil), RECORDED].compact.join(" ")
      Minitest.singleton_class.prepend(Loaded)
      area == "system" ? tell_stories : Minitest::Test.singleton_class.prepend(Apart)
    end

    # How a process that is started is told to write it down.
    RECORDED = "-r#{File.join(__dir__, "recorded.rb")}".freeze

    # What was touched since this was asked last.
    def self.touched = Lines.of(Coverage.result(stop: false, clear: true))

    def self.keep(test, bits) = File.write(File.join(@folder, "#{Process.pid}.jsonl"), "#{JSON.generate([test, Lines.write(bits)])}\n", mode: "a")

    # What the processes touched that have ended.
    def self.started
      Dir[File.join(@started, "*.lines")].reduce({}) do |bits, file|
        Lines.merge(bits, Lines.read(File.readlines(file, chomp: true).to_h { |line| line.split("\t") })).tap { File.delete(file) }
      end
    end

    def self.tell_stories
      Minitest.extensions << "record"
      Minitest.define_singleton_method(:plugin_record_init) do |_|
        reporter << Class.new(Minitest::AbstractReporter) do
          define_method(:record) { |result| Record.keep("#{result.klass}##{result.name}", Lines.merge(Record.touched, Record.started)) }
        end.new
      end
    end
    private_class_method :tell_stories

    # What loading touches stands by itself.
    module Loaded
      def __run(...)
        Record.keep("", Record.touched)
        super
      end
    end

    # A suite in a process of its own, so that each line counts anew.
    module Apart
      def run(reporter, options = {})
        return super if runnable_methods.empty?

        Server::Store.disconnect if defined?(Server::Store)
        results = apart do
          told = []
          collector = Minitest::CompositeReporter.new
          collector.define_singleton_method(:prerecord) { |*| nil }
          collector.define_singleton_method(:record) { |result| told << result }
          super(collector, options)
          Record.keep(name, Lines.merge(Record.touched, Record.started))
          told
        end
        results.each do |result|
          reporter.prerecord(self, result.name)
          reporter.record(result)
        end
      end

      private

      def apart
        reader, writer = IO.pipe(binmode: true)
        process = fork do
          reader.close
          writer.write(Marshal.dump(yield))
          writer.close
          exit!(true)
        end
        writer.close
        # What the child of this very process has just written.
        Marshal.load(reader.read).tap { Process.wait(process) } # rubocop:disable Security/MarshalLoad
      end
    end

    # What was written down in a folder, as one file: { tree, loaded, tests: { test => lines } }
    def self.gather(folder, tree, file)
      rows = Dir[File.join(folder, "*.jsonl")].flat_map { |one| File.readlines(one).map { |line| JSON.parse(line) } }
      merged = rows.group_by(&:first).transform_values { |same| same.map { |_, text| Lines.read(text) }.reduce { |a, b| Lines.merge(a, b) } }
      loaded = merged.delete("") || {}
      merged.transform_values! { |bits| bits.to_h { |name, mask| [name, mask & ~loaded.fetch(name, 0)] }.reject { |_, mask| mask.zero? } }
      File.write(file, JSON.generate("tree" => tree, "loaded" => Lines.write(loaded), "tests" => merged.transform_values { |bits| Lines.write(bits) }))
    end
  end
end

Kippen::Record.gather(*ARGV) if $PROGRAM_NAME == __FILE__
