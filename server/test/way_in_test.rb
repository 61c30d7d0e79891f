# frozen_string_literal: true

require_relative "helper"
require "tmpdir"

module Kippen
  # A lead opens the way in for clients' own devices; bin/start, which does it, is played by the test.
  class WayInTest < ServerTest
    ADDRESSES = %w[127.0.0.1 203.0.113.7 192.168.1.20 ::1 fe80::1].map { |ip| Addrinfo.ip(ip) }

    def setup
      super
      @folder = Dir.mktmpdir
      @before = Server::App.way_in
      Server::App.set :way_in, Server::WayIn.new(@folder, addresses: -> { ADDRESSES })
    end

    def teardown
      Server::App.set :way_in, @before
      FileUtils.rm_rf(@folder)
    end

    def file(name) = File.join(@folder, name)

    def test_a_lead_opens_and_closes_it
      sign_in_as("lead")
      assert_equal({ "reached" => false, "possible" => %w[192.168.1.20 203.0.113.7], "wanted" => nil, "open" => nil,
                     "failed" => nil }, ask("/api/way-in"))
      send_json(:post, "/api/way-in", "address" => "192.168.1.20")
      assert_equal [202, "192.168.1.20", nil], [status, *answer.values_at("wanted", "open")]
      assert_equal "192.168.1.20", File.read(file("wanted"))

      File.write(file("open"), "192.168.1.20:4310")
      add_client
      assert_equal ["http://192.168.1.20:4310/join"], ask("/api/clients/#{@client}/joins")["addresses"]
      send_json(:delete, "/api/way-in", {})
      assert_equal [200, nil], [status, answer["wanted"]]
      refute_path_exists file("wanted")
      noted = DATABASE[:audit].where(Sequel.like(:what, "%the way in%")).order(:id).select_map(%i[what detail])
      assert_equal [["opened the way in for clients' devices", { "address" => "192.168.1.20" }],
                    ["closed the way in for clients' devices", {}]], noted
    end

    def test_why_it_failed_is_told_until_it_is_asked_for_again
      sign_in_as("lead")
      File.write(file("failed"), "Address already in use\n")
      assert_equal "Address already in use", ask("/api/way-in")["failed"]
      send_json(:post, "/api/way-in", "address" => "192.168.1.20")
      assert_nil answer["failed"]
    end

    def test_it_is_opened_only_by_a_lead_and_only_at_what_is_this_machines
      assert_nil ask("/api/way-in")["open"]
      send_json(:post, "/api/way-in", "address" => "192.168.1.20")
      assert_problem 403
      sign_in_as("lead")
      ["192.168.1.21", "127.0.0.1", "0.0.0.0", "../x", "192.168.1.20\n1"].each do |address|
        send_json(:post, "/api/way-in", "address" => address)
        assert_problem 409
      end
      assert_match(/it has 192\.168\.1\.20, 203\.0\.113\.7/, answer["detail"])
      assert_empty Dir.children(@folder)
    end

    def test_where_nobody_keeps_a_second_server_it_is_not_offered
      Server::App.set :way_in, Server::WayIn.new(nil, reached: true)
      sign_in_as("lead")
      assert_equal [[], true], ask("/api/way-in").values_at("possible", "reached")
      send_json(:post, "/api/way-in", "address" => "192.168.1.20")
      assert_problem 409
      send_json(:delete, "/api/way-in", {})
      assert_equal 200, status
    end
  end
end
