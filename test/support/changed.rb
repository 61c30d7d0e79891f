# frozen_string_literal: true

require "json"
require "open3"
require_relative "lines"

module Kippen
  # Which tests a change can touch, by the lines that each has touched; when in doubt, more.
  #   ruby test/support/changed.rb ROOT RECORD SINCE NOW FOLDER
  # SINCE, NOW – as git names them. Writes into FOLDER what bin/test runs: areas, AREA.only, AREA.files …
  class Changed
    AREAS = %w[lint web core server system].freeze
    STARTING = %w[Kippen::StartTest Kippen::BackupTest Kippen::ErasedTest Kippen::WayInStoryTest].freeze
    NOTHING = %r{\A(?:docs/.*\.(?:md|png)|[A-Z]+\.md|LICENSE|\.gitignore|bin/(?:bench|siege)|test/siege/.*)\z}
    RUBY = %r{\A(?:(?:core/lib|server|test/(?:system|reference)|core/test|server/test)/.*\.rb|core/bin/.*)\z}
    PAGES = %r{\Aweb/(?:src|index\.html)}
    TESTS = { %r{\Acore/test/.*_test\.rb\z} => "core", %r{\Aserver/test/.*_test\.rb\z} => "server",
              %r{\Atest/.*_test\.rb\z} => "system" }.freeze

    def initialize(root, record, since, now)
      @root = root
      @tree = record.fetch("tree")
      @loaded = Lines.read(record.fetch("loaded"))
      @tests = record.fetch("tests").transform_values { |bits| Lines.read(bits) }
      @since = since
      @now = now
      # area => { test, suite or file => true }, or :all
      @runs = {}
      @related = []
      @linted = []
    end

    # { area => [what of it is run] or :all }, the files whose pages are tested, the Ruby that is read over
    def call
      names(@since, @now).each { |status, file| look_at(status, file) }
      [@runs.transform_values { |what| what == :all ? :all : what.keys }, @related, @linted]
    end

    private

    def git(*arguments)
      text, status = Open3.capture2("git", "-C", @root, *arguments)
      status.success? ? text : abort("git #{arguments.first} failed")
    end

    def names(from, to) = git("diff", "--no-renames", "--name-status", from, to).lines.map { |line| line.chomp.split("\t", 2) }

    def look_at(status, file)
      return if NOTHING.match?(file)

      ruby_is_read_over(status, file)
      area = TESTS.find { |pattern, _| pattern.match?(file) }&.last
      case file
      when PAGES then pages(file)
      when ".rubocop.yml" then @runs["lint"] = :all
      when %r{\Abin/(?:start|backup|restore|support/(?!build|packages|postgres|say))} then STARTING.each do |suite|
        run("system", suite)
      end
      when RUBY then area && status != "D" ? run(area, file) : lines(file)
      else AREAS.each { |one| @runs[one] = :all }
      end
    end

    def ruby_is_read_over(status, file)
      return unless file.end_with?(".rb") && status != "D"

      @linted << file
      @runs["lint"] ||= {}
    end

    # A page may be opened by any story.
    def pages(file)
      @related << file
      @runs["lint"] ||= {}
      @runs["web"] ||= {}
      @runs["system"] = :all unless file.match?(/\.test\.tsx?\z/)
    end

    def run(area, what)
      (@runs[area] ||= {})[what] = true unless @runs[area] == :all
    end

    # --- what touches the lines that changed

    def lines(file)
      return unknown(file) unless known?(file)

      held, run_by_tests = touched(file, changed_lines(file)).partition { |line| loading?(file, line) }
      tests_of(file, Lines.once(run_by_tests))
      mentioned(file) if held.any?
    end

    # ranges – as they stand now. Returns the lines that were run, as they stood then.
    def touched(file, ranges) = before(file, ranges).flat_map { |range| spread(file, range) }.uniq

    def known?(file) = @loaded.key?(file) || @tests.each_value.any? { |bits| bits.key?(file) }

    # What nobody has touched yet: all of its area, and whoever names it has changed too.
    def unknown(file)
      area = file[%r{\A(core|server)/}, 1] || "system"
      @runs[area] = :all unless git("show", "#{@now}:#{file}").empty? || !exists?(file)
    end

    def exists?(file) = !git("ls-tree", "--name-only", @now, "--", file).empty?

    def tests_of(file, mask)
      @tests.each { |test, bits| run(*test.split(" ", 2)) if bits.fetch(file, 0).anybits?(mask) }
    end

    # A line that loading runs, and that is not where a method begins: a constant, a table, what is taken in. Whoever
    # touches the file, or a line that names what it holds.
    def mentioned(file)
      tests_of(file, -1)
      name = File.basename(file, ".rb").split("_").map(&:capitalize).join
      found = git("grep", "-nw", name, @now, "--", "core/lib", "server").lines.map do |line|
        line.delete_prefix("#{@now}:").split(":", 3)
      end
      found.group_by(&:first).each do |one, rows|
        if known?(one) && exists_then?(one)
          tests_of(one, Lines.once(touched(one, rows.map { |_, line| Range.new(*[Integer(line, 10)] * 2) })))
        end
      end
    end

    def exists_then?(file) = !git("ls-tree", "--name-only", @tree, "--", file).empty?

    def loading?(file, line) = @loaded.fetch(file, 0)[line] == 1 && !method?(file, line)

    # Does a method begin there?
    def method?(file, line) = text(file)[line - 1].to_s.match?(/^\s*(?:private |public )?(?:def|define_method)\b/)

    def text(file) = (@texts ||= {})[file] ||= git("show", "#{@tree}:#{file}").lines

    # The lines that were ever run; where that is none, or only where a method begins, the nearest above and below too.
    def spread(file, range)
      ever = (@ever ||= {})[file] ||= @tests.each_value.reduce(@loaded.fetch(file, 0)) { |mask, bits| mask | bits.fetch(file, 0) }
      own = range.select { |line| ever[line] == 1 }
      return own unless own.all? { |line| method?(file, line) }

      above = (range.first - 1).downto(1).find { |line| ever[line] == 1 }
      below = ((range.last + 1)..text(file).size).find { |line| ever[line] == 1 }
      [*own, *above, *below]
    end

    # [[old range, new range]…]; where nothing stands any more, or did not yet, the lines on both sides of it
    def hunks(from, to, file)
      git("diff", "-U0", "--no-renames", from, to, "--",
          file).scan(/^@@ -(\d+)(?:,(\d+))? \+(\d+)(?:,(\d+))? @@/).map do |old, olds, new, news|
        [range(old, olds), range(new, news)]
      end
    end

    def range(first, count)
      first = Integer(first, 10)
      count = Integer(count || "1", 10)
      count.zero? ? (first..(first + 1)) : (first..(first + count - 1))
    end

    # As they stand now.
    def changed_lines(file) = hunks(@since, @now, file).map(&:last)

    # As they stood when it was written down what touches them.
    def before(file, ranges)
      moved = hunks(@tree, @now, file)
      ranges.flat_map do |range|
        over = moved.select { |_, now| now.first <= range.last && range.first <= now.last }
        over.map(&:first) + range.reject { |line| over.any? { |_, now| now.cover?(line) } }.map { |line| old_line(moved, line) }
      end
    end

    # Of a line that was not changed since: where it stood.
    def old_line(moved, line)
      old, now = moved.reverse.find { |_, one| one.last < line }
      at = old ? line + old.last - now.last : line
      at..at
    end
  end
end

if $PROGRAM_NAME == __FILE__
  root, record, since, now, folder = ARGV
  runs, related, linted = Kippen::Changed.new(root, JSON.parse(File.read(record)), since, now).call
  File.write(File.join(folder, "areas"), Kippen::Changed::AREAS.select { |area| runs.key?(area) }.map { |area| "#{area}\n" }.join)
  runs.except("lint", "web").each do |area, what|
    File.write(File.join(folder, "#{area}.only"), "#{what.join("\n")}\n") unless what == :all
  end
  unless runs["lint"] == :all
    File.write(File.join(folder, "lint.only"), linted.empty? ? "none\n" : "#{linted.join("\n")}\n")
    File.write(File.join(folder, "lint.no-pages"), "") if related.empty?
  end
  unless runs["web"] == :all || related.empty?
    File.write(File.join(folder, "web.only"), "#{related.map { |file| file.delete_prefix("web/") }.join("\n")}\n")
    File.write(File.join(folder, "web.how"), "related --run")
  end
end
