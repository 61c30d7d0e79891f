# frozen_string_literal: true

module Kippen
  # Of all tests that were loaded, those that are to run.
  module Chosen
    TESTS = /^test_/
    ROOT = File.expand_path("../..", __dir__)

    module_function

    # The names of all.
    def all = tests.map(&:first)

    # The names of those that are meant. lines – a test, a suite or a file in each
    def of(lines)
      meant = lines.to_h { |line| [line, true] }
      tests.filter_map { |name, file| name if meant[name] || meant[name[/\A[^#]+/]] || meant[file] }
    end

    # [[name, file of the root]…]
    def tests
      suites.flat_map do |suite|
        suite.methods_matching(TESTS).map do |test|
          ["#{suite}##{test}", suite.instance_method(test).source_location[0].delete_prefix("#{ROOT}/")]
        end
      end
    end

    # Leaves only these to Minitest, which shuffles them by its seed.
    def keep(names)
      kept = names.group_by { |name| name[/\A[^#]+/] }
      suites.each do |suite|
        tests = kept.fetch(suite.name, []).map { |name| name[/#(.+)/m, 1] }
        suite.define_singleton_method(:methods_matching) { |_| tests }
      end
    end

    def suites = Minitest::Runnable.runnables.select { |suite| suite.name.to_s.start_with?("Kippen::") }
  end
end
