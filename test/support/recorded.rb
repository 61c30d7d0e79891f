# frozen_string_literal: true

# For a process that a test starts: what it touches of the project is written down as it ends, what was run once apart from
# what was run again. It needs no gem: those are not chosen yet.
require "coverage"
require_relative "lines"

if ENV["KIPPEN_TOUCHED"] && !Coverage.running?
  Coverage.start(lines: true)
  at_exit do
    result = Coverage.result(stop: false, clear: false)
    rows = { "once" => 1, "again" => 2 }.flat_map do |how, least|
      Kippen::Lines.write(Kippen::Lines.of(result, least:)).map { |pair| [how, *pair].join("\t") }
    end
    file = File.join(ENV.fetch("KIPPEN_TOUCHED"), "#{Process.pid}-#{rand(1 << 32)}")
    File.write("#{file}.part", "#{rows.join("\n")}\n")
    File.rename("#{file}.part", "#{file}.lines")
  rescue SystemCallError
    # Whoever asked is gone.
    nil
  end
end
