# frozen_string_literal: true

require "fileutils"
require "open3"
require "tmpdir"

module Kippen
  # One token of one file is made another, in a copy of the tree; a run of the tests that cover it must fail.
  class MutantSiege
    SWAPS = { "==" => "!=", "!=" => "==", "<" => "<=", "<=" => "<", ">" => ">=", ">=" => ">", "&&" => "||", "||" => "&&", "true" => "false",
              "false" => "true", "unless" => "if", "+" => "-", "any?" => "none?", "none?" => "any?", "all?" => "any?", "first" => "last",
              "select" => "reject", "reject" => "select", "nil" => "0", "min" => "max", "max" => "min" }.freeze
    WORDS = /(?<![\w.:"])(?:any\?|none\?|all\?|true|false|unless|nil)(?![\w?])/
    CALLS = /(?<=\.)(?:any\?|none\?|all\?|first|select|reject|min|max)(?![\w?])/
    SIGNS = / (?:==|!=|<=|>=|<|>|&&|\|\||\+) /
    TOKEN = Regexp.union(WORDS, CALLS, SIGNS)
    FILES = "{core/lib,server/{api,auth,jobs,store}}/**/*.rb"

    def initialize(root)
      @root = root
    end

    # Says which break was noticed and which not; true if at most one in ten was not.
    def run(count, seed)
      Dir.mktmpdir do |copy|
        FileUtils.cp_r(Open3.capture2("git", "ls-files", chdir: @root)[0].lines(chomp: true).map { |name| name.split("/").first }.uniq
          .map { |name| File.join(@root, name) } - [File.join(@root, "web")], copy)
        missed = places(copy).sample(count, random: Random.new(seed)).reject { |file, offset| noticed?(copy, file, offset) }
        puts "mutants: #{count} from seed #{seed}, #{missed.size} not noticed"
        missed.size * 10 <= count
      end
    end

    private

    # [[file, offset]…] of all that could be broken; what is a comment or words is left alone.
    def places(copy)
      Dir[FILES, base: copy].sort.grep_v(/migrations/).flat_map do |file|
        text = File.read(File.join(copy, file))
        text.to_enum(:scan, TOKEN).map { Regexp.last_match.begin(0) }.reject { |offset| passive?(text, offset) }.map { |offset| [file, offset] }
      end
    end

    def passive?(text, offset)
      line = text[(text.rindex("\n", offset) || 0)..offset]
      line.include?("#") || line.count('"').odd? || line.match?(/\A\s*(def|class|module) [^=(]*\z/)
    end

    def noticed?(copy, file, offset)
      path = File.join(copy, file)
      text = File.read(path)
      token = text[offset..][TOKEN]
      File.write(path, text[0, offset] + token.sub(token.strip) { |one| SWAPS.fetch(one) } + text[(offset + token.length)..])
      areas = file.start_with?("core/") ? %w[core server] : %w[server]
      noticed = areas.any? { |area| !Open3.capture2e(File.join(copy, "bin", "test"), area)[1].success? }
      puts "#{noticed ? "noticed" : "MISSED "} #{file}:#{text[0, offset].count("\n") + 1} #{token.strip}"
      noticed
    ensure
      File.write(path, text)
    end
  end
end
