# frozen_string_literal: true

require "tempfile"
require "tmpdir"
require "fileutils"
require_relative "../../bin/support/visitor"

module Kippen
  # A whole Kippen, started by bin/start on data of its own, which go with it.
  class OwnKippen
    PATIENCE_S = 120

    def initialize(root, port)
      @root = root
      @port = port
      @data = Dir.mktmpdir("kippen-siege", "/var/tmp")
      File.chmod(0o755, @data)
    end

    # Returns once it answers.
    def start
      environment = { "KIPPEN_DATA" => @data, "DATABASE_URL" => nil, "BUNDLE_WITHOUT" => nil, "RUBYOPT" => nil, "RUBYLIB" => nil }
      @said = Tempfile.new("siege")
      @start = Process.spawn(environment, File.join(@root, "bin", "start"), "--port", @port.to_s, out: @said.path,
                                                                                                  err: @said.path, pgroup: true)
      wait_until { well? }
    end

    # Once its start has ended.
    def start_again
      Process.wait(@start)
      start
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
      log = -> { File.read(File.join(@data, "log", "postgres.log")).lines.last(12).join }
      so || abort("it did not come back: #{@said.read}\n#{log.call}")
    end

    # Kills one hard; it may be being started again just now.
    def kill(name)
      Process.kill("KILL", pid(name))
    rescue Errno::ESRCH, Errno::ENOENT
      nil
    end

    # name – server, worker, database or start. Raises Errno::ENOENT where it isn't there just now.
    def pid(name)
      case name
      when "start" then @start
      when "database" then Integer(File.readlines(File.join(@data, "postgres", "data", "postmaster.pid")).first, 10)
      else Integer(File.read(File.join(@data, "run", "#{name}.pid")), 10)
      end
    end

    def end_all
      Process.kill("TERM", -@start) if @start
      Process.wait(@start) if @start
    rescue Errno::ESRCH, Errno::ECHILD
      nil
    ensure
      system("pkill", "-KILL", "-f", @data)
      FileUtils.rm_rf(@data)
    end
  end
end
