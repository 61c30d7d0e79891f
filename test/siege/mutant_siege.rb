# frozen_string_literal: true

require "fileutils"
require "open3"
require "tmpdir"

module Kippen
  # One token of one file is made another, in a copy of the tree; a run of the tests must fail.
  class MutantSiege
    # What is broken: files – a glob; token – what is made another; areas – of bin/test, in the order asked
    # comment – what begins one
    Target = Struct.new(:files, :token, :areas, :comment, keyword_init: true)

    SWAPS = { "==" => "!=", "!=" => "==", "===" => "!==", "!==" => "===", "<" => "<=", "<=" => "<", ">" => ">=", ">=" => ">",
              "&&" => "||",
              "||" => "&&", "??" => "&&", "true" => "false", "false" => "true", "unless" => "if", "+" => "-", "any?" => "none?",
              "none?" => "any?", "all?" => "any?", "first" => "last", "select" => "reject", "reject" => "select", "nil" => "0",
              "min" => "max",
              "max" => "min", "some" => "every", "every" => "some", "undefined" => "0", "null" => "0" }.freeze
    SIGNS = / (?:===|!==|==|!=|<=|>=|<|>|&&|\|\||\?\?|\+) /
    RUBY = Regexp.union(/(?<![\w.:"])(?:any\?|none\?|all\?|true|false|unless|nil)(?![\w?])/,
                        /(?<=\.)(?:any\?|none\?|all\?|first|select|reject|min|max)(?![\w?])/, SIGNS)
    TYPESCRIPT = Regexp.union(/(?<![\w.:'"|] )(?<![\w.'"|])(?:true|false|undefined|null)(?=[\s;,)])/,
                              /(?<=\.)(?:some|every|min|max)(?=\()/, SIGNS)
    TARGETS = {
      "core" => Target.new(files: "core/lib/**/*.rb", token: RUBY, areas: %w[core server system], comment: "#"),
      "server" => Target.new(files: "server/{api,auth,jobs,store}/**/*.rb", token: RUBY, areas: %w[server system], comment: "#"),
      "web" => Target.new(files: "web/src/**/*.{ts,tsx}", token: TYPESCRIPT, areas: %w[web system], comment: "//")
    }.freeze

    # So many files of stories that speak of what a broken file draws are told before all the others.
    NEAREST = 5

    # A break may go round in a circle for ever: that is noticed too.
    PATIENCE_S = 900

    # targets – names of TARGETS
    def initialize(root, targets)
      @root = root
      @targets = TARGETS.fetch_values(*targets)
    end

    # Says which break was noticed and which not; true if at most one in ten was not.
    def run(count, seed)
      Dir.mktmpdir do |copy|
        Open3.capture2("git", "ls-files", chdir: @root)[0].lines(chomp: true).each do |name|
          FileUtils.mkdir_p(File.dirname(File.join(copy, name)))
          FileUtils.cp(File.join(@root, name), File.join(copy, name))
        end
        # What fails unbroken would notice everything.
        first = @targets.map { |target| target.areas.first }.uniq.reject { |area| green?(copy, area) }
        return puts("mutants: unbroken, #{first.join(", ")} fails") || false if first.any?

        missed = places(copy).sample(count, random: Random.new(seed)).reject do |target, file, offset|
          noticed?(copy, target, file, offset)
        end
        puts "mutants: #{count} from seed #{seed}, #{missed.size} not noticed"
        missed.size * 10 <= count
      end
    end

    private

    # [[Target, file, offset]…] of all that could be broken; what is a comment, a test or words is left alone.
    def places(copy)
      @targets.flat_map do |target|
        Dir[target.files, base: copy].sort.grep_v(/migrations|schema|test/).flat_map do |file|
          text = File.read(File.join(copy, file))
          found = text.to_enum(:scan, target.token).map { Regexp.last_match.begin(0) }
          found.reject { |offset| passive?(text, offset, target.comment) }.map { |offset| [target, file, offset] }
        end
      end
    end

    def passive?(text, offset, comment)
      line = text[(text.rindex("\n", offset) || 0)..offset]
      line.include?(comment) || line.count('"').odd? || line.count("'").odd? ||
        line.match?(%r{\A\s*(def|class|module|import|/?\*) ?[^=(]*\z})
    end

    def green?(copy, *what)
      Open3.capture2e({ "FIRST" => "yes" }, "timeout", PATIENCE_S.to_s, File.join(copy, "bin", "test"), *what)[1].success?
    end

    # [[file of stories…]], those that name most sentences of a feature's; none for what is of no feature.
    def nearest(copy, file)
      feature = file[%r{features/([a-z]+)/}, 1] or return []
      files = Dir["test/system/*_test.rb", base: copy].grep_v(/pictures|start|backup|weight/)
      said = files.to_h { |story| [story, File.read(File.join(copy, story)).scan(/"#{feature}\.\w/).size] }
      said.select { |_, count| count.positive? }.max_by(NEAREST, &:last).map(&:first).then { |found| found.empty? ? [] : [found] }
    end

    def noticed?(copy, target, file, offset)
      path = File.join(copy, file)
      text = File.read(path)
      token = text.match(target.token, offset)[0]
      File.write(path, text[0, offset] + token.sub(token.strip) { |one| SWAPS.fetch(one) } + text[(offset + token.length)..])
      by = [target.areas.first, *nearest(copy, file), *target.areas.drop(1)].find { |area| !green?(copy, *area) }
      puts "#{by ? "noticed by #{Array(by).first}" : "MISSED"}: #{file}:#{text[0, offset].count("\n") + 1} #{token.strip}"
      by
    ensure
      File.write(path, text)
    end
  end
end
