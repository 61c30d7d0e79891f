# frozen_string_literal: true

require "json"
require "socket"
require "tempfile"
require "tmpdir"
require "fileutils"
require_relative "../../bin/support/visitor"

module Kippen
  # Server, worker, database and bin/start are killed hard at random moments while somebody saves: whatever was
  # acknowledged is there afterwards, in its order, and nothing that nobody sent.
  class KillSiege
    TARGETS = %w[server worker database start].freeze
    BUTTON = "pocket-phone/edge"
    # What that button can be set to.
    VALUES = [400, 500, 700, 1000, 1500].freeze
    PATIENCE_S = 120

    def initialize(root, seed)
      @root = root
      @random = Random.new(seed)
      @port = 20_000 + @random.rand(9_000)
      # By the number it should get; of several that were sent for one, the first that came is it.
      @sent = Hash.new { |sent, number| sent[number] = [] }
      @acknowledged = [1]
    end

    # Says what was killed and what was found; true where all was well.
    def run(count)
      @data = Dir.mktmpdir("kippen-kills", "/var/tmp")
      File.chmod(0o755, @data)
      start
      wrong = count.times.filter_map { |round| round(round) }
      puts "kills: #{count}, #{@acknowledged.size - 1} acknowledged saves, #{wrong.empty? ? "all there, none invented" : wrong.join("; ")}"
      wrong.empty?
    ensure
      end_all
    end

    private

    def start
      environment = { "KIPPEN_DATA" => @data, "DATABASE_URL" => nil, "BUNDLE_WITHOUT" => nil, "RUBYOPT" => nil, "RUBYLIB" => nil }
      @said = Tempfile.new("kills")
      @start = Process.spawn(environment, File.join(@root, "bin", "start"), "--port", @port.to_s, out: @said.path, err: @said.path, pgroup: true)
      wait_until { well? }
    end

    def visitor = Visitor.new("http://127.0.0.1:#{@port}")

    def well?
      visitor.get("/api/health") == { "ok" => true }
    rescue SystemCallError, IOError
      false
    end

    def wait_until
      patience = Time.now + PATIENCE_S
      sleep 0.1 until (so = yield) || Time.now > patience
      so || abort("it did not come back: #{@said.read}\n#{File.read(File.join(@data, "log", "postgres.log")).lines.last(12).join}")
    end

    # Returns what is wrong, or nil.
    def round(number)
      target = TARGETS.sample(random: @random)
      @saving = true
      saver = Thread.new { save_on }
      sleep 0.5 + @random.rand
      kill(target)
      sleep 0.3
      @saving = false
      saver.join
      Process.wait(@start) && start if target == "start"
      found = nil
      wait_until { well? && (found = look_once) }
      found[0] && "#{number} (#{target}): #{found[0]}"
    end

    # [what is wrong, or nil]; nil where it does not answer yet.
    def look_once
      [look]
    rescue SystemCallError, IOError, NoMethodError, TypeError
      nil
    end

    def kill(target)
      pid = case target
            when "start" then @start
            when "database" then Integer(File.readlines(File.join(@data, "postgres", "data", "postmaster.pid")).first, 10)
            else Integer(File.read(File.join(@data, "run", "#{target}.pid")), 10)
            end
      Process.kill("KILL", pid)
    rescue Errno::ESRCH, Errno::ENOENT
      # It is being started again just now.
      nil
    end

    # One save after another, each on the newest revision as it is told.
    def save_on
      inside = visitor.sign_in
      @client ||= inside.get("/api/clients?search=bram")["clients"].first["id"]
      save_once(inside) while @saving
    rescue SystemCallError, IOError, NoMethodError, TypeError
      nil
    end

    def save_once(inside)
      newest = inside.get("/api/clients/#{@client}")["revision"]["number"]
      value = (VALUES - @sent[newest].last(1)).sample(random: @random)
      change = { "kind" => "timing", "button" => BUTTON, "setting" => "long_press_ms", "value" => value }
      @sent[newest + 1] << value
      answer = inside.post("/api/clients/#{@client}/revisions", "opened_on" => newest, "change" => change)
      @acknowledged << JSON.parse(answer.body)["revision"]["number"] if answer.code == "201"
    end

    def look
      inside = visitor.sign_in
      newest = inside.get("/api/clients/#{@client}")["revision"]["number"]
      return "revision #{@acknowledged.last} was acknowledged, the newest is #{newest}" if newest < @acknowledged.last
      return if newest == 1
      return "revision #{newest} was sent by nobody" if @sent[newest].empty?

      kept = inside.get("/api/clients/#{@client}/fitting").dig("button_timing", BUTTON, "long_press_ms")
      # What was on its way may have come in between.
      return look unless inside.get("/api/clients/#{@client}")["revision"]["number"] == newest

      "revision #{newest} has #{kept}, #{@sent[newest].join(" or ")} was sent" unless @sent[newest].include?(kept)
    end

    def end_all
      Process.kill("TERM", -@start)
      Process.wait(@start)
    rescue Errno::ESRCH, Errno::ECHILD
      nil
    ensure
      system("pkill", "-KILL", "-f", @data)
      FileUtils.rm_rf(@data)
    end
  end
end
