# frozen_string_literal: true

require_relative "../../server/boot"
require "minitest/autorun"
require "net/http"
require "open3"
require "socket"
require "tmpdir"

module Kippen
  # bin/start as a newcomer meets it, on a data folder and a port of its own.
  class StartTest < Minitest::Test
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

    def free_port = TCPServer.open("127.0.0.1", 0) { |server| server.addr[1] }

    # Without what bin/test has set for its own database and gems.
    def environment
      { "KIPPEN_DATA" => @data, "DATABASE_URL" => nil, "BUNDLE_WITHOUT" => nil, "RUBYOPT" => nil, "RUBYLIB" => nil }
    end

    # Starts Kippen and waits until it says that it is ready.
    def start(*options, input: nil)
      reader, writer = IO.pipe
      stdin, answer = IO.pipe
      answer.puts(input) if input
      answer.close
      process = Process.spawn(environment, START, "--port", @port.to_s, *options, in: stdin, out: writer, err: writer, pgroup: true)
      writer.close
      @running << process
      said = +""
      said << reader.readpartial(4096) until said.include?("Kippen is ready")
      [process, said]
    rescue EOFError
      flunk "it ended without being ready:\n#{said}"
    end

    # As Ctrl+C does: the signal goes to everything in the foreground.
    def stop(process, signal = "INT")
      Process.kill(signal, -process)
      Process.wait(process)
      @running.delete(process)
      $?.exitstatus
    rescue Errno::ESRCH, Errno::ECHILD
      @running.delete(process)
    end

    # Runs to its end; returns [status, what it said].
    def refused(*options, input: "", env: {})
      output, status = Open3.capture2e(environment.merge(env), START, *options, stdin_data: input)
      [status.exitstatus, output]
    end

    def ask(path)
      response = Net::HTTP.get_response(URI("http://127.0.0.1:#{@port}#{path}"))
      response.content_type == "application/json" ? JSON.parse(response.body) : response.body
    end

    def send_json(path, value)
      Net::HTTP.post(URI("http://127.0.0.1:#{@port}#{path}"), JSON.generate(value), "Content-Type" => "application/json")
    end

    def client = ask("/api/clients")["clients"].first

    def long_press(parent, value)
      change = { "kind" => "timing", "button" => "pocket-phone/edge", "setting" => "long_press_ms", "value" => value }
      send_json("/api/clients/#{client["id"]}/revisions", "parent" => parent, "change" => change)
    end

    def processes_on_data = `pgrep -f #{@data}`.split.size

    def test_first_start_second_start_and_fresh
      process, said = start
      assert_match(%r{Kippen is ready: http://127.0.0.1:#{@port}/}, said)
      assert_match(/<title>Kippen/, ask("/"))
      assert_equal ["Bram Oduya-Lisle", 1], client.values_at("name", "revision")
      assert_equal "201", long_press(1, 900).code
      assert_match(/start: Kippen is already running on #{@data} \(http:/, refused("--port", free_port.to_s)[1])
      assert_equal 0, stop(process)
      assert_equal 0, processes_on_data

      process, = start
      assert_equal 2, client["revision"]
      stop(process)

      assert_equal [1, "This throws away every client and fitting in #{@data}. Type fresh to go on: start: nothing was thrown away\n"],
                   refused("--port", @port.to_s, "--fresh", input: "yes\n")
      process, = start("--fresh", input: "fresh")
      assert_equal 1, client["revision"]
      stop(process)
    end

    def test_without_the_demo_it_stays_away
      process, = start("--no-demo")
      assert_nil client
      stop(process)
      start
      assert_nil client
    end

    # The server is killed hard in the middle of saving; what was saved last is whole.
    def test_killed_in_the_middle_of_a_save
      process, = start
      acknowledged = 1
      saving = Thread.new do
        loop { acknowledged += 1 if long_press(acknowledged, 400 + acknowledged).code == "201" }
      rescue SystemCallError, IOError
        nil
      end
      sleep 0.05 until acknowledged > 20
      Process.kill("KILL", Integer(`pgrep -g #{process} -f puma`.lines.first, 10))
      saving.join
      Process.wait(process)
      @running.delete(process)
      assert_equal 1, $?.exitstatus

      start
      revision = client["revision"]
      assert_includes [acknowledged, acknowledged + 1], revision
      fitting = Fitting.read(ask("/api/clients/#{client["id"]}/fitting"))
      assert_equal (400 + revision - 1) * 1000, fitting.timing(fitting.button("pocket-phone/edge")).long_press_us
    end

    def test_killed_hard_itself_it_starts_again
      process, = start
      stop(process, "KILL")
      start
      assert_equal 1, client["revision"]
    end

    def test_what_can_not_be_is_told_in_one_line
      taken = TCPServer.open("127.0.0.1", @port)
      assert_equal [1, "start: port #{@port} is taken by another program; choose another with --port\n"], refused("--port", @port.to_s)
      assert_equal [1, "start: --port takes a number from 1 to 65535, not '99999'\n"], refused("--port", "99999")
      assert_equal [1, "start: --port takes a number from 1 to 65535, not 'x'\n"], refused("--port", "x")
      assert_equal [1, "start: unknown option --explode; --help lists them\n"], refused("--explode")
      assert_equal [1, "start: KIPPEN_DATA must be a folder's whole path without spaces, not 'here'\n"], refused(env: { "KIPPEN_DATA" => "here" })
      refute_path_exists File.join(@data, "postgres")
    ensure
      taken&.close
    end

    # A Node that is too old, and none to be had in its place.
    def test_a_wrong_node_is_told
      bin = File.join(@data, "bin")
      FileUtils.mkdir_p(bin)
      File.write(File.join(bin, "node"), "#!/bin/sh\necho v18.20.4\n")
      File.write(File.join(bin, "npm"), "#!/bin/sh\nexit 1\n")
      FileUtils.chmod(0o755, Dir[File.join(bin, "*")])
      status, said = refused("--port", @port.to_s, env: { "PATH" => "#{bin}:#{ENV.fetch("PATH")}", "XDG_CACHE_HOME" => File.join(@data, "cache") })

      assert_equal 1, status
      assert_equal "start: Node 20.19 or newer is needed to build the pages; found 18.20.4", said.lines.last.chomp
    end

    def test_postgresql_that_does_not_start_is_told
      process, = start
      stop(process)
      File.write(File.join(@data, "postgres", "data", "postgresql.conf"), "no_such_setting = 1\n", mode: "a")
      status, said = refused("--port", @port.to_s)

      assert_equal 1, status
      assert_match(%r{\Astart: PostgreSQL could not be started; log: #{@data}/log/postgres.log\z}, said.lines.last.chomp)
    end

    def test_help
      status, said = refused("--help")
      assert_equal 0, status
      %w[--port --fresh --no-demo --help DATABASE_URL KIPPEN_DATA].each { |word| assert_includes said, word }
    end
  end
end
