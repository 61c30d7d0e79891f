# frozen_string_literal: true

require_relative "helper"
require "minitest/mock"
require "puma"
require "puma/server"

module Kippen
  # What can't be understood, and what every answer carries.
  class OutermostTest < ServerTest
    HEADERS = %w[x-content-type-options referrer-policy x-frame-options cross-origin-opener-policy content-security-policy].freeze

    def send_raw(method, path, body = nil, type: "application/json")
      custom_request(method, path, {}, { input: body, "CONTENT_TYPE" => type, "HTTP_X_CSRF_TOKEN" => @token ||= csrf })
      last_response.status
    end

    def test_every_answer_carries_the_headers
      paths = { "/" => 200, "/api/health" => 200, "/api/clients" => 200, "/api/clients/none" => 404, "/api/nothing" => 404,
                "/assets/../x" => 200 }
      paths.each do |path, expected|
        get(path)
        assert_equal expected, status, path
        HEADERS.each { |name| assert last_response[name], "#{path}: #{name}" }
      end
      get("/")
      assert_includes last_response["content-security-policy"], "default-src 'self'"
      get("/api/health")
      assert_includes last_response["content-security-policy"], "default-src 'none'"
    end

    def test_unknown_verbs_are_not_possible
      %w[BREW TRACE OPTIONS CONNECT PROPFIND].each { |verb| assert_equal 405, send_raw(verb, "/api/clients"), verb }
      assert_equal "GET, HEAD, POST, PUT, PATCH, DELETE", last_response["allow"]
      assert_problem 405
    end

    def test_an_address_that_can_not_be_read
      env = Rack::MockRequest.env_for("/api/clients", "HTTP_HOST" => "localhost")
      odd = ["a=%", "search=%ff", "a%00=1", "a=%00", "a=1&a[b]=2", "search=%ED%A0%80", (["a=1"] * 5000).join("&")]
      odd.each { |query| assert_equal 400, APP.call(env.merge("QUERY_STRING" => query)).first, query.slice(0, 40) }
      ["/api/clients/%", "/api/%ff", "/%00"].each do |path|
        assert_equal 400, APP.call(env.merge("PATH_INFO" => path)).first, path
      end
    end

    def test_ids_that_nothing_can_have
      sign_in_as("lead")
      @token = nil
      ["-9223372036854775809", "9" * 40, "1e3", "0x1", "a", "1_0"].each do |id|
        assert_equal 404, send_raw("PATCH", "/api/accounts/#{id}", JSON.generate("name" => "A")), id
      end
    end

    # A header that says something of a token is no reason to trust what comes with somebody's session.
    def test_a_token_beside_a_session_is_no_pass
      add_client
      headers = { "CONTENT_TYPE" => "application/json", "HTTP_AUTHORIZATION" => "Bearer made-up" }
      post("/api/clients/#{@client}/listeners", JSON.generate("name" => "Forged"), headers)
      assert_equal 403, status
      assert_equal(201, send_json(:post, "/api/clients/#{@client}/listeners", "name" => "Desk").then { status })
    end

    def test_what_is_no_json_object
      { "[]" => 400, "3" => 400, "null" => 400, "\"a\"" => 400, "{" => 400, "a=%" => 400, "{\"a\":1e400}" => 400,
        "{\"a\":\"\\ud800\"}" => 400,
        "{\"\\u0000\":1}" => 400, "\xFF" => 400, "{\"a\":1,\"a\":2}" => 400 }.each do |body, expected|
        %w[/api/session/sign-in /api/session/demo /api/joined].each do |path|
          assert_equal expected, send_raw("POST", path, body), "#{path} #{body.inspect}"
        end
        assert_problem expected
      end
    end

    def test_only_json_is_taken
      [nil, "", "text/plain", "application/x-www-form-urlencoded", "multipart/form-data; boundary=x",
       "application/jsonp"].each do |type|
        assert_equal 415, send_raw("POST", "/api/session/sign-in", "{}", type:), type.inspect
        assert_problem 415
      end
      assert_equal 401, send_raw("POST", "/api/session/sign-in", JSON.generate("email" => "a@b", "password" => "x"),
                                 type: "Application/JSON; charset=utf-8")
    end

    def test_who_is_not_known_may_send_less
      long = JSON.generate("email" => "a" * 20_000, "password" => "x")
      token = csrf
      assert_equal 401, send_raw("POST", "/api/session/sign-in", long), "who is signed in"
      ["", "kippen.session=made-up"].each do |cookie|
        clear_cookies
        env = { input: long, "CONTENT_TYPE" => "application/json", "HTTP_X_CSRF_TOKEN" => token, "HTTP_COOKIE" => cookie }
        custom_request("POST", "/api/session/sign-in", {}, env)
        assert_problem 413
      end
      custom_request("POST", "/api/joined/streams", {},
                     { input: long * 10, "CONTENT_TYPE" => "application/json", "HTTP_AUTHORIZATION" => "Bearer made-up" })
      assert_problem 413
    end

    def test_no_fault_of_its_own_gets_out
      broken = Server::Outermost.new(->(_) { raise KeyError, "key not found: Bram" })
      _, told = capture_io do
        { "GET" => nil, "POST" => "unknown" }.each do |method, saved|
          status, headers, body = broken.call(Rack::MockRequest.env_for("/api/health", method:))
          problem = JSON.parse(body.first)
          assert_equal [500, "nosniff", saved], [status, headers["x-content-type-options"], problem["saved"]]
          refute_match(/KeyError|Bram|\.rb/, body.first)
        end
      end
      assert_match(/KeyError/, told)
      refute_match(/Bram/, told)
    end

    def test_who_comes_when_too_many_wait_is_told_at_once
      outermost = Server::Outermost.new(->(_) { [200, {}, []] })
      [[200, 200], [201, 503]].each do |backlog, expected|
        server = Struct.new(:backlog).new(backlog)
        Puma::Server.stub(:current, server) do
          assert_equal expected, outermost.call(Rack::MockRequest.env_for("/api/health")).first
        end
      end
    end

    # Saving is refused, reading goes on, and every answer says so.
    def test_without_room_nothing_is_saved
      Tempfile.create("no-room") do |file|
        outermost = Server::Outermost.new(->(env) { [200, {}, [env["REQUEST_METHOD"]]] }, no_room: file.path)
        ask = ->(method, path) { outermost.call(Rack::MockRequest.env_for(path, method:)) }
        [["GET", "/api/clients", 200], ["POST", "/api/clients", 507], ["PUT", "/api/listeners/x/bindings", 507],
         ["POST", "/api/session/sign-in", 200],
         ["POST", "/api/clients/x/previews", 200]]
          .each do |method, path, expected|
          status, headers, = ask.call(method, path)
          assert_equal [expected, "low"], [status, headers["x-kippen-room"]], "#{method} #{path}"
        end
        File.unlink(file.path)
        assert_equal([200, nil], ask.call("POST",
                                          "/api/clients").then { |status, headers, _| [status, headers["x-kippen-room"]] })
        FileUtils.touch(file.path)
      end
    end

    def test_what_puma_can_not_read_is_a_problem_too
      { 413 => 413, 400 => 400, 501 => 400, 500 => 500 }.each do |given, expected|
        _, told = capture_io do
          code, headers, = Server::Outermost.broken(ArgumentError.new("Bram"), {}, given)
          assert_equal [expected, "nosniff"], [code, headers["x-content-type-options"]]
        end
        refute_match(/Bram/, told)
      end
    end
  end
end
