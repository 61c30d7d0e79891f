# frozen_string_literal: true

require_relative "../../server/boot"
require_relative "../../bin/support/visitor"
require "minitest/autorun"
require "open3"
require "socket"
require "tmpdir"

module Kippen
  # For stories that run bin/start, on a data folder and a port of their own.
  module Starting
    ROOT = Server::ROOT
    START = File.join(ROOT, "bin", "start")

    def setup
      @data = Dir.mktmpdir("kippen-start", "/var/tmp")
      File.chmod(0o755, @data)
      @port = free_port
      @running = []
    end

    def teardown
      @running.each { |process| stop(process) }
      FileUtils.rm_rf(@data)
    end

    # Not one of those that are given to connections as they are made, and so may be taken at any time.
    PORTS = 20_000..29_999
    # Not Minitest's, whose seed is the same in both lanes: they would ask for the same ports.
    CHANCE = Random.new

    def free_port
      port = CHANCE.rand(PORTS)
      TCPServer.open("127.0.0.1", port) { port }
    rescue Errno::EADDRINUSE
      retry
    end

    # Without what bin/test has set for its own database and gems.
    # One process serves where nothing else is said: it is there sooner.
    def environment
      recorded = Record::RECORDED if ENV["RECORD"]
      { "RUBYOPT" => recorded, "KIPPEN_DATA" => @data, "KIPPEN_WORKERS" => "0", "DATABASE_URL" => nil, "BUNDLE_WITHOUT" => nil,
        "RUBYLIB" => nil }
    end

    # Puts programs of the test's own in front of the system's; returns the environment.
    def instead_of(programs)
      bin = File.join(@data, "bin")
      FileUtils.mkdir_p(bin)
      programs.each { |name, script| File.write(File.join(bin, name), "#!/bin/sh\n#{script}\n", perm: 0o755) }
      { "PATH" => "#{bin}:#{ENV.fetch("PATH")}", "XDG_CACHE_HOME" => File.join(@data, "cache") }
    end

    # Starts Kippen and waits until it says that it is ready.
    # Goes on listening to what it says: @told.
    def start(*options, input: nil, env: {})
      reader, writer = IO.pipe
      stdin, answer = IO.pipe
      answer.puts(input) if input
      answer.close
      process = Process.spawn(environment.merge(env), START, "--port", @port.to_s, *options, in: stdin, out: writer, err: writer,
                                                                                             pgroup: true)
      writer.close
      @running << process
      said = +""
      said << reader.readpartial(4096) until said.include?("Kippen is ready")
      @told = +""
      Thread.new(@told) { |told| loop { told << reader.readpartial(4096) } rescue EOFError } # rubocop:disable Style/RescueModifier
      [process, said]
    rescue EOFError
      flunk "it ended without being ready:\n#{said}"
    end

    # Waits until something is so.
    def wait_for(what, seconds = 40)
      patience = Time.now + seconds
      sleep 0.1 until (so = yield) || Time.now > patience
      assert so, what
    end

    # Does it answer that all is well?
    def all_well?
      visitor.get("/api/health") == { "ok" => true }
    rescue SystemCallError, IOError
      false
    end

    # As Ctrl+C does: the signal goes to everything in the foreground.
    def stop(process, signal = "INT")
      Process.kill(signal, -process)
      # What it had started ends a moment later than it.
      wait(process).tap { wait_for("nobody answers any more") { !listening? } }
    rescue Errno::ESRCH, Errno::ECHILD
      @running.delete(process)
    end

    def wait(process)
      _, status = Process.wait2(process)
      @running.delete(process)
      status.exitstatus
    end

    # Runs to its end; returns [status, what it said].
    def refused(*options, input: "", env: {})
      output, status = Open3.capture2e(environment.merge(env), START, *options, stdin_data: input)
      [status.exitstatus, output]
    end

    def listening?
      TCPSocket.open("127.0.0.1", @port).close
      true
    rescue SystemCallError
      false
    end

    # What was started, by its name.
    def pid_of(name) = Integer(File.read(File.join(@data, "run", "#{name}.pid")), 10)

    def processes_on_data = `pgrep -f #{@data}`.split.size

    # Signed in once; a new start takes the session again.
    def inside = @inside ||= visitor.sign_in

    # Of the demo's clients the one with the phone.
    def client = inside.get("/api/clients?search=bram")["clients"].first

    def visitor = Visitor.new("http://127.0.0.1:#{@port}")
  end
end
