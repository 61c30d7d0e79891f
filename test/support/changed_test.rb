# frozen_string_literal: true

require "fileutils"
require "minitest/autorun"
require "tmpdir"
require_relative "changed"

module Kippen
  # What a change can touch, in a small repository of its own.
  class ChangedTest < Minitest::Test
    FILE = "core/lib/kippen/press/waits.rb"
    BEFORE = <<~RUBY
      module Waits
        LONGEST = 3
        # How long.
        def self.one
          1
        end

        def self.two
          2
        end
      end
    RUBY
    # Loading runs 1, 2, 4 and 8.
    RECORD = { "loaded" => { FILE => [1, 2, 4, 8], "core/lib/kippen/lane.rb" => [1] },
               "tests" => { "core Kippen::OneTest#test_it" => { FILE => [5] },
                            "system Kippen::StoryTest#test_two" => { FILE => [9] },
                            "core Kippen::OtherTest#test_it" => { "core/lib/kippen/lane.rb" => [2] },
                            "core Kippen::ApartTest#test_it" => { "core/lib/kippen/apart.rb" => [3] } } }.freeze

    def setup
      @root = Dir.mktmpdir
      git("init", "-q")
      write(FILE, BEFORE)
      write("core/lib/kippen/lane.rb", "module Lane\n  Waits.one\nend\n")
      write("core/test/press/waits_test.rb", "class OneTest\nend\n")
      @tree = tree
    end

    def teardown = FileUtils.rm_rf(@root)

    def git(*arguments) = Open3.capture2("git", "-C", @root, *arguments).first.strip

    def write(file, text)
      FileUtils.mkdir_p(File.dirname(File.join(@root, file)))
      File.write(File.join(@root, file), text)
    end

    def tree
      git("add", "-A")
      git("write-tree")
    end

    def record
      masks = ->(lines) { Lines.write(lines.transform_values { |numbers| Lines.once(numbers) }) }
      { "tree" => @tree, "loaded" => masks[RECORD["loaded"]], "tests" => RECORD["tests"].transform_values(&masks) }
    end

    # Of the tests in Ruby, what is run.
    def runs(since = @tree) = Changed.new(@root, record, since, tree).call.first.except("lint")

    def change(from, to) = write(FILE, File.read(File.join(@root, FILE)).sub(from, to))

    def test_a_line_of_a_method_runs_who_ran_it
      change("    1\n", "    11\n")
      assert_equal({ "core" => ["Kippen::OneTest#test_it"] }, runs)
    end

    def test_lines_put_in_above_move_nothing
      change("module Waits\n", "# A word.\n# Another.\nmodule Waits\n")
      since = tree
      change("    2\n", "    22\n")
      assert_equal({ "system" => ["Kippen::StoryTest#test_two"] }, runs(since))
    end

    def test_a_line_put_in_runs_who_ran_its_neighbours
      change("    1\n", "    1\n    4\n")
      assert_equal({ "core" => ["Kippen::OneTest#test_it"] }, runs)
    end

    def test_a_constant_runs_who_touches_the_file_or_one_that_names_it
      change("LONGEST = 3", "LONGEST = 4")
      assert_equal({ "core" => %w[Kippen::OneTest#test_it Kippen::OtherTest#test_it],
                     "system" => ["Kippen::StoryTest#test_two"] }, runs)
    end

    def test_a_new_file_runs_its_area_and_data_run_everything
      write("core/lib/kippen/new.rb", "module New\nend\n")
      assert_equal({ "core" => :all }, runs)
      write("core/data/kinds/remote.json", "{}")
      assert_equal({ "web" => :all, "core" => :all, "server" => :all, "system" => :all }, runs)
    end

    def test_a_test_runs_itself_and_a_page_every_story
      write("core/test/press/waits_test.rb", "class OneTest\n  x\nend\n")
      assert_equal({ "core" => ["core/test/press/waits_test.rb"] }, runs)
      write("web/src/a.tsx", "x")
      assert_equal({ "core" => ["core/test/press/waits_test.rb"], "web" => [], "system" => :all }, runs)
    end

    def test_words_touch_nothing
      write("docs/wants.md", "more")
      write("CHANGELOG.md", "more")
      assert_equal [{}, [], []], Changed.new(@root, record, @tree, tree).call
    end
  end
end
