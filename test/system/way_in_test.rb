# frozen_string_literal: true

require_relative "starting"

module Kippen
  # The way in for clients' own devices, opened at the start or while Kippen runs.
  class WayInStoryTest < Minitest::Test
    include Starting

    # From another machine one can join by code, and nothing else. 127.0.0.2 stands for another way in.
    def test_listening_on_purpose_lets_others_join_and_nothing_else
      _, said = start("--listen", "127.0.0.2")
      assert_match(%r{Devices of clients join by code at http://127\.0\.0\.2:#{@port}/join}, said)
      listening = inside.get("/api/clients/#{client["id"]}/joins")
      assert_equal ["http://127.0.0.2:#{@port}/join"], listening["addresses"]
      outside = Visitor.new("http://127.0.0.2:#{@port}")
      assert_match(/<title>Kippen/, outside.get("/join"))
      %w[/api/session /api/clients /api/audit].each { |path| assert_equal 403, outside.get(path)["status"], path }
      host = inside.get("/api/clients/#{client["id"]}")["hosts"].first["id"]
      code = JSON.parse(inside.post("/api/clients/#{client["id"]}/joins", "host" => host).body)["code"]
      assert_equal "201", outside.post("/api/joined", "code" => code, "name" => "Phone").code
    end

    def lead = @lead ||= visitor.sign_in("lead")

    def way_in(name) = File.join(@data, "way-in", name)

    # A lead opens it while Kippen runs, and closes it: a second server beside the first, which serves on. The address is
    # put where the server puts it: of loopback's others it offers none.
    def test_the_way_in_is_opened_and_closed_while_it_runs
      # An address that this machine has not does not keep it from starting.
      process, said = start("--listen", "203.0.113.9")
      assert_includes said, "The way in at 203.0.113.9 could not be kept open (Cannot assign requested address)"
      assert all_well?
      first = pid_of("server")
      File.write(way_in("wanted"), "127.0.0.2")
      wait_for("it is open") { lead.get("/api/way-in")["open"] == "127.0.0.2:#{@port}" }
      assert_equal 403, Visitor.new("http://127.0.0.2:#{@port}").get("/api/clients")["status"]
      Process.kill("KILL", pid_of("outside"))
      wait_for("it is told") { @told.include?("could not be kept open (it ended by itself)") }
      assert_equal [nil, nil, "it ended by itself"],
                   lead.get("/api/way-in").values_at("wanted", "open", "failed")

      File.write(way_in("wanted"), "127.0.0.2")
      wait_for("it is open again") { lead.get("/api/way-in")["open"] }
      assert_equal "200", lead.delete("/api/way-in").code
      wait_for("it is closed") { lead.get("/api/way-in")["open"].nil? }
      assert_raises(Errno::ECONNREFUSED) { TCPSocket.open("127.0.0.2", @port) }
      assert_equal first, pid_of("server")
      assert_equal 0, stop(process)
      assert_equal 0, processes_on_data
    end

    def test_an_address_that_is_none_is_refused
      assert_equal [1, "start: --listen takes one IPv4 address of this machine, such as 192.168.1.20, not '0.0.0.0'\n"],
                   refused("--listen", "0.0.0.0")
    end
  end
end
