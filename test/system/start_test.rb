# frozen_string_literal: true

require_relative "starting"

module Kippen
  # bin/start as a newcomer meets it, on a data folder and a port of its own.
  class StartTest < Minitest::Test
    include Starting

    def long_press(parent, value)
      change = { "kind" => "timing", "button" => "pocket-phone/edge", "setting" => "long_press_ms", "value" => value }
      inside.post("/api/clients/#{client["id"]}/revisions", "opened_on" => parent, "change" => change)
    end

    def raw(text)
      TCPSocket.open("127.0.0.1", @port) do |socket|
        socket.write(text)
        socket.read
      end
    end

    def assert_what_is_no_http_is_answered
      assert_match(%r{\AHTTP/1.[01] 400 .*application/problem\+json.*"status":400}m, raw("GARBAGE\r\n\r\n"))
      # By what it says of itself, before any of it has come.
      assert_match(%r{\AHTTP/1.1 413 }, raw("POST /api/clients HTTP/1.1\r\nHost: localhost\r\nContent-Length: 3000000\r\n\r\n"))
    end

    def test_first_start_and_fresh
      process, said = start
      assert_match(%r{Kippen is ready: http://127.0.0.1:#{@port}/}, said)
      assert_match(/<title>Kippen/, visitor.get("/"))
      assert_equal ["Bram Oduya-Lisle", 1], client.values_at("name", "revision")
      assert_equal "201", long_press(1, 700).code
      assert_what_is_no_http_is_answered
      assert_match(/start: Kippen is already running on #{@data} \(http:/, refused("--port", free_port.to_s)[1])
      assert_equal 0, stop(process)
      assert_equal 0, processes_on_data

      assert_equal [1, "This throws away every client and fitting in #{@data}. Type fresh to go on: start: nothing was thrown " \
                       "away\n"],
                   refused("--port", @port.to_s, "--fresh", input: "yes\n")
      process, = start("--fresh", input: "fresh")
      @inside = nil
      assert_equal 1, client["revision"]
      stop(process)
      assert_a_database_that_does_not_start_is_told
    end

    def assert_a_database_that_does_not_start_is_told
      File.write(File.join(@data, "postgres", "data", "postgresql.conf"), "no_such_setting = 1\n", mode: "a")
      status, said = refused("--port", @port.to_s)
      assert_equal 1, status
      assert_match(%r{\Astart: PostgreSQL could not be started; log: #{@data}/log/postgres.log\z}, said.lines.last.chomp)
    end

    # On the way PostgreSQL passes over a port that is used though nobody listens there.
    def test_without_the_demo_it_stays_away
      socket, held = hold_a_port
      process, = start("--no-demo")
      refute_equal held, Integer(File.readlines(File.join(@data, "postgres", "data", "postmaster.pid"))[3], 10)
      assert_equal [nil, false, true], visitor.get("/api/session").values_at("account", "demo", "first")
      assert_equal "403", visitor.post("/api/session/demo", "role" => "lead").code
      first = { "service" => "Reedbank", "name" => "Ottoline", "email" => "ottoline@reedbank.example",
                "password" => "quiet-estuary-morning" }
      assert_equal "201", visitor.post("/api/services", first).code
      stop(process)
      start
      assert_equal [false, false], visitor.get("/api/session").values_at("demo", "first"), "who was there before is there again"
    ensure
      socket&.close
    end

    # What a phone can be set to.
    VALUES = [400, 500, 700, 1000, 1500].freeze

    def pid_of_the_database = Integer(File.readlines(File.join(@data, "postgres", "data", "postmaster.pid")).first, 10)

    # Something is killed hard in the middle of saving: it comes back by itself, and what was acknowledged is whole.
    def killed_while_saving(told)
      acknowledged = before = client["revision"]
      saving = Thread.new do
        loop { acknowledged += 1 if long_press(acknowledged, VALUES[acknowledged % VALUES.size]).code == "201" }
      rescue SystemCallError, IOError, NoMethodError
        nil
      end
      sleep 0.05 until acknowledged > before + 20
      Process.kill("KILL", yield)
      wait_for(told) { @told.include?(told) }
      saving.kill
      wait_for("it answers again") { all_well? }
      @inside = nil
      revision = client["revision"]
      assert_includes [acknowledged, acknowledged + 1], revision
      fitting = Fitting.read(inside.get("/api/clients/#{client["id"]}/fitting"))
      assert_equal VALUES[(revision - 1) % VALUES.size] * 1000, fitting.timing(fitting.button("pocket-phone/edge")).long_press_us
    end

    def test_a_server_and_a_database_that_are_killed_come_back
      process, = start(env: { "KIPPEN_WORKERS" => "2" })
      killed_while_saving("The server has ended by itself; it is started again.") { pid_of("server") }
      killed_while_saving("The database has ended by itself; it is started again.") { pid_of_the_database }
      assert_equal 0, stop(process)
      assert_equal 0, processes_on_data
    end

    # What is told to a worker while it becomes another program is told to nobody: it is told again.
    def test_a_worker_that_was_not_told_is_told_again
      process, = start(env: instead_of("nice" => "trap : TERM; sleep 4; trap - TERM; exec /usr/bin/nice \"$@\"").slice("PATH"))
      Process.kill("TERM", process)
      assert_equal 0, wait(process)
      assert_equal 0, processes_on_data
    end

    # Only bin/start itself is killed: the server, the worker and the database are left behind.
    def test_what_a_start_that_was_killed_left_behind_hinders_nobody
      process, = start
      assert_equal "201", long_press(1, 700).code
      left = [pid_of("server"), pid_of("worker")]
      # Whoever presses goes before the worker, however nice all of it was started.
      nice = left.map { |pid| Process.getpriority(Process::PRIO_PROCESS, pid) }
      assert_equal [nice.first + 15, 19].min, nice.last
      Process.kill("KILL", process)
      wait(process)
      assert all_well?, "the server was left behind"
      process, said = start
      assert_includes said, "An earlier start was cut off; ending what is left of it."
      assert_equal 2, client["revision"]
      left.each { |pid| refute_path_exists "/proc/#{pid}" }
      # With everything that it runs.
      stop(process, "KILL")
      start
      assert_equal 2, client["revision"]
    end

    def test_without_room_every_answer_says_so_and_nothing_is_saved
      free = File.join(@data, "free")
      File.write(free, "5000")
      start(env: instead_of("df" => "if [ \"$1\" = -Pm ]; then echo F; echo /dev/x 9 9 $(cat #{free}) 9% /; else exec /bin/df " \
                                    "\"$@\"; fi").slice("PATH"))
      assert_equal "201", long_press(1, 700).code
      File.write(free, "120")
      wait_for("it is told") { @told.include?("Only 120 MB are left") }
      refused = long_press(2, 1000)
      assert_equal %w[507 low], [refused.code, refused["x-kippen-room"]]
      assert_equal 2, client["revision"]
      File.write(free, "5000")
      wait_for("it is told") { @told.include?("There is room on the disk again.") }
      assert_equal "201", long_press(2, 1000).code
    end

    # The first port from which Kippen's own PostgreSQL looks on that can be had: bound, as an outgoing connection's is.
    def hold_a_port
      (14_310..14_400).each do |port|
        socket = Socket.new(:INET, :STREAM)
        return [socket, port] if socket.bind(Addrinfo.tcp("127.0.0.1", port))
      rescue Errno::EADDRINUSE
        next
      end
    end

    def test_what_can_not_be_is_told_in_one_line
      taken = TCPServer.open("127.0.0.1", @port)
      assert_equal [1, "start: port #{@port} is taken by another program; choose another with --port\n"],
                   refused("--port", @port.to_s)
      assert_equal [1, "start: --port takes a number from 1 to 65535, not '99999'\n"], refused("--port", "99999")
      assert_equal [1, "start: --port takes a number from 1 to 65535, not 'x'\n"], refused("--port", "x")
      assert_equal [1, "start: unknown option --explode; --help lists them\n"], refused("--explode")
      assert_equal [1, "start: KIPPEN_DATA must be a folder's whole path without spaces, not 'here'\n"],
                   refused(env: { "KIPPEN_DATA" => "here" })
      refute_path_exists File.join(@data, "postgres")
    ensure
      taken&.close
    end

    # A Node that is too old, and none to be had in its place.
    def test_a_wrong_node_is_told
      status, said = refused("--port", @port.to_s, env: instead_of("node" => "echo v18.20.4", "npm" => "exit 1"))

      assert_equal 1, status
      assert_equal "start: Node 20.19 or newer is needed to build the pages; found 18.20.4", said.lines.last.chomp
    end

    def test_a_full_disk_is_told_before_anything_is_begun
      df = "echo Filesystem; echo /dev/full 1000000 900000 102400 90% /"
      assert_equal [1, "start: only 100 MB free in #{@data}, 1500 MB are needed; nothing was begun\n"],
                   refused("--port", @port.to_s, env: instead_of("df" => df))
      refute_path_exists File.join(@data, "postgres")
    end

    # The disk fills up while something is being installed.
    def test_a_disk_that_fills_up_on_the_way_is_told
      status, said = refused("--port", @port.to_s,
                             env: instead_of("bundle" => "echo 'No space left on device - write' >&2; exit 1"))

      assert_equal 1, status
      assert_match(/\Astart: the disk is full; free some space and start again \(log: /, said.lines.last)
    end

    # As a user who may not install: the one line to run.
    def test_missing_packages_are_named_to_an_ordinary_user
      status, said = refused("--port", @port.to_s, env: instead_of("id" => "echo 1000", "dpkg-query" => "exit 1"))

      assert_equal 1, status
      assert_match(/\Astart: packages are missing; run this once, then start again: sudo apt-get install -y /, said)
      assert_match(/ ca-certificates ruby .*postgresql\n\z/, said)
    end

    def test_help
      status, said = refused("--help")
      assert_equal 0, status
      %w[--port --fresh --no-demo --help DATABASE_URL KIPPEN_DATA].each { |word| assert_includes said, word }
    end
  end
end
