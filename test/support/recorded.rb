# frozen_string_literal: true

# For a process that a test starts: what it touches of the project is written down as it ends. It needs no gem: those are
# not chosen yet.
require "coverage"
require_relative "lines"

if ENV["KIPPEN_TOUCHED"] && !Coverage.running?
  Coverage.start(oneshot_lines: true)
  at_exit do
    bits = Kippen::Lines.of(Coverage.result(stop: false, clear: false))
    file = File.join(ENV.fetch("KIPPEN_TOUCHED"), "#{Process.pid}-#{rand(1 << 32)}")
    File.write("#{file}.part", Kippen::Lines.write(bits).map { |pair| "#{pair.join("\t")}\n" }.join)
    File.rename("#{file}.part", "#{file}.lines")
  rescue SystemCallError
    # Whoever asked is gone.
    nil
  end
end
