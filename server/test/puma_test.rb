# frozen_string_literal: true

require_relative "helper"
require "puma"
require "puma/server"
require "socket"
require_relative "../as_problem"
require_relative "../seldom"

module Kippen
  # What Puma itself refuses is a problem like any other, and its log tells of nobody.
  class PumaTest < Minitest::Test
    def setup
      @told = StringIO.new
      writer = Class.new(Puma::LogWriter) { prepend Server::Seldom }.new(StringIO.new, @told)
      options = { log_writer: writer, http_content_length_limit: 1_000, supported_http_methods: :any, min_threads: 1,
                  max_threads: 1,
                  lowlevel_error_handler: ->(error, env, status) { Server::Outermost.broken(error, env, status) } }
      app = Server::Outermost.new(->(_) { [200, {}, ["here"]] }, no_room: nil)
      # As server/puma.rb does it.
      Puma::Client.prepend(Server::AsProblem::LongerFiles)
      @server = Class.new(Puma::Server) { prepend Server::AsProblem }.new(app, nil, options)
      @port = @server.add_tcp_listener("127.0.0.1", 0).addr[1]
      @server.run
      Server::Seldom::TOLD.clear
    end

    def teardown = @server.stop(true)

    # [status, its JSON or text]
    def answer(request)
      TCPSocket.open("127.0.0.1", @port) do |socket|
        socket.write(request)
        head, body = socket.read.split("\r\n\r\n", 2)
        [Integer(head[/ (\d+)/, 1], 10), head[/content-type: *(\S+)/i, 1], body]
      end
    end

    def assert_problem(status, request)
      code, type, body = answer(request)
      assert_equal [status, "application/problem+json", status], [code, type, JSON.parse(body)["status"]], request
    end

    def test_all_of_it_is_a_problem
      head = "Host: localhost\r\nConnection: close\r\n"
      assert_equal 200, answer("GET / HTTP/1.1\r\n#{head}\r\n").first
      %w[PROPFIND BREW].each { |verb| assert_problem 405, "#{verb} /api/clients HTTP/1.1\r\n#{head}\r\n" }
      assert_problem 413, "POST /api/clients HTTP/1.1\r\n#{head}Content-Type: application/json\r\nContent-Length: 1001\r\n\r\n"
      assert_problem 400, "POST /api/clients HTTP/1.1\r\n#{head}Transfer-Encoding: riddle\r\n\r\n"
      assert_problem 400, "GET /api/clients?search=Quill onde HTTP/1.1\r\n#{head}\r\n"
    end

    def test_a_file_of_trials_may_be_longer_and_what_follows_it_on_the_connection_may_not
      heads = "Host: localhost\r\nCookie: a=b\r\nContent-Type: application/json\r\nContent-Length: 1001"
      trials = "POST /api/clients/0/trials HTTP/1.1\r\n#{heads}\r\n\r\n#{"x" * 1_001}"
      assert_equal 200, answer(trials.sub("\r\n", "\r\nConnection: close\r\n")).first
      assert_problem 413, trials.sub("Cookie: a=b", "Connection: close")
      assert_problem 413, "POST /api/clients/0/trials HTTP/1.1\r\nHost: localhost\r\nCookie: a=b\r\nContent-Length: " \
                          "8000001\r\n\r\n"
      TCPSocket.open("127.0.0.1", @port) do |socket|
        socket.write(trials)
        assert_match(/ 200 /, socket.readpartial(1_000))
        socket.write("POST /api/clients HTTP/1.1\r\nHost: localhost\r\nCookie: a=b\r\nContent-Length: 1001\r\n\r\n")
        assert_match(/ 413 /, socket.readpartial(1_000))
      end
    end

    # What may be longer, and by how much.
    LONGER = { "/api/clients/0/trials" => 8_000_000, "/api/clients/0/recordings" => 8_000_000,
               "/api/whole-clients" => 32_000_000, "/api/clients/0/whole" => 32_000_000 }.freeze

    def test_files_may_be_longer_and_nothing_beside_them
      head = "Host: localhost\r\nCookie: a=b\r\nConnection: close\r\nContent-Type: application/json\r\nContent-Length:"
      LONGER.each do |path, most|
        assert_equal 200, answer("POST #{path} HTTP/1.1\r\n#{head} 3000\r\n\r\n#{"x" * 3_000}").first, path
        assert_problem 413, "POST #{path} HTTP/1.1\r\n#{head} #{most + 1}\r\n\r\n"
        assert_problem 413, "PUT #{path} HTTP/1.1\r\n#{head} 1001\r\n\r\n"
        assert_problem 413, "POST #{path}/more HTTP/1.1\r\n#{head} 1001\r\n\r\n"
      end
    end

    def test_the_log_has_nothing_of_what_was_asked
      2.times { answer("GET /api/clients?search=Quillonde one HTTP/1.1\r\nHost: localhost\r\n\r\n") }
      assert_equal 1, @told.string.lines.size
      refute_includes @told.string, "Quillonde"
    end
  end
end
