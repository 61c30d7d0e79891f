# frozen_string_literal: true

require_relative "helper"

module Kippen
  # The client's own device joins by code: one code, one client, one host; presses only.
  class JoinsTest < ServerTest
    def setup
      super
      add_client
      @join = send_json(:post, "/api/clients/#{@client}/joins", "host" => "phone")
    end

    # from – the address of the connection
    def join(code = @join["code"], name: "Her phone", from: "127.0.0.1", anew: false)
      Server::Rates::COUNTERS.clear
      code = (@join = send_json(:post, "/api/clients/#{@client}/joins", "host" => "phone"))["code"] if anew
      post("/api/joined", JSON.generate("code" => code, "name" => name), "CONTENT_TYPE" => "application/json",
                                                                         "REMOTE_ADDR" => from)
      answer
    end

    # As the joined browser asks: without a session, with its token.
    def as_joined(method, path, body = nil)
      clear_cookies
      public_send(method, path, body ? JSON.generate(body) : {}, "CONTENT_TYPE" => "application/json",
                                                                 "HTTP_AUTHORIZATION" => "Bearer #{@token}")
      answer
    end

    def joined = @token = join["token"]

    def send_press(source = "key:F8")
      stream = as_joined(:post, "/api/joined/streams", {})["id"]
      messages = [[1, 0, "down"], [2, 100_000, "up"]].map do |number, t_us, kind|
        { "number" => number, "t_us" => t_us, "source" => source, "kind" => kind }
      end
      as_joined(:post, "/api/joined/streams/#{stream}/messages", "messages" => messages)
    end

    def test_a_press_there_is_on_the_bench_here
      joined
      said = send_press
      assert_equal %w[cues heard_through next_us places quiet received stream], said.keys.sort, "and nothing else is told"
      assert_equal [[], {}], said.values_at("cues", "places"), "of its own host only"
      sign_in_as("specialist")
      listener = ask("/api/clients/#{@client}/joins")["joins"][0]["listener"]
      send_json(:put, "/api/listeners/#{listener}/bindings", "bindings" => [{ "heard" => "key:F8", "button" => EDGE }])
      view = ask("/api/streams/#{said["stream"]}")
      assert_equal ["Her phone", ["Wake the screen"]],
                   [view["listener"], view["tiles"].map { |tile| tile["results"][0]["action_name"] }]
    end

    def test_a_code_is_six_letters_and_digits_that_are_not_taken_for_each_other
      assert_match(/\A[A-HJ-NP-Z2-9]{6}\z/, @join["code"])
      assert_equal "Phone", @join["host_name"]
      assert_in_delta 15 * 60, Time.parse(@join["expires_at"]) - Time.now, 10
    end

    def test_a_code_leads_one_device_in_and_then_nobody
      joined
      assert_equal "Phone", as_joined(:get, "/api/joined")["host"]
      join
      assert_problem 404
      assert_match(/lapsed or was used already/, answer["detail"])
    end

    def test_small_letters_and_spaces_do_not_matter
      join(" #{@join["code"].downcase[0, 3]} #{@join["code"].downcase[3, 3]} ")
      assert_equal 201, status, last_response.body
    end

    def test_a_code_lapses
      DATABASE[:joins].update(expires_at: Time.now - 1)
      join
      assert_problem 404
    end

    def test_a_joined_device_can_be_ended
      joined
      sign_in_as("specialist")
      send_json(:delete, "/api/joins/#{@join["id"]}", {})
      as_joined(:get, "/api/joined")
      assert_problem 401
      assert_match(/join with a new code/, answer["detail"])
    end

    def test_who_joined_sees_nothing_else
      joined
      %W[/api/clients /api/clients/#{@client} /api/clients/#{@client}/bench /api/clients/#{@client}/fitting
         /api/audit].each do |path|
        as_joined(:get, path)
        assert_problem 401
      end
      as_joined(:post, "/api/clients", DEMO)
      assert_problem 401
      assert_equal "key F8", as_joined(:get, "/api/joined/names?source=key:F8")["name"]
    end

    def test_one_can_not_write_into_the_stream_of_another
      listener = send_json(:post, "/api/clients/#{@client}/listeners", "name" => "Desk")["id"]
      stream = send_json(:post, "/api/listeners/#{listener}/streams", {})["id"]
      joined
      as_joined(:post, "/api/joined/streams/#{stream}/messages",
                "messages" => [{ "number" => 1, "t_us" => 0, "source" => "key:F8", "kind" => "down" }])
      assert_problem 404
    end

    def test_the_token_is_kept_nowhere
      joined
      refute_includes DATABASE[:joins].all.to_s, @token
    end

    # What this address has tried hinders nobody else; what it says of itself is not believed.
    def test_trying_codes_is_stopped_for_who_tries
      20.times { join("AAAAAA", from: "192.168.1.66") }
      ["", "10.0.0.1", "127.0.0.1"].each do |said|
        header "X-Forwarded-For", said
        join(from: "192.168.1.66")
        assert_problem 429
      end
      header "X-Forwarded-For", nil
      assert_match(/wait 10 minutes/, answer["detail"])
      join(from: "192.168.1.20")
      assert_equal 201, status, last_response.body
      DATABASE[:tries].update(at: Time.now - 3600)
      join(from: "192.168.1.66", anew: true)
      assert_equal 201, status
    end

    def test_codes_that_wait_are_few_and_so_are_streams
      5.times { send_json(:post, "/api/clients/#{@client}/joins", "host" => "phone") }
      send_json(:post, "/api/clients/#{@client}/joins", "host" => "phone")
      assert_problem 429
      assert_match(/5 codes wait to be used already/, answer["detail"])
      DATABASE[:joins].exclude(code: @join["code"]).delete
      joined
      listener = DATABASE[:listeners].exclude(join_id: nil).get(:id)
      DATABASE[:streams].multi_insert(Array.new(Server::Store::Streams::MOST_JOINED) { { listener_id: listener } })
      as_joined(:post, "/api/joined/streams", {})
      assert_problem 429
    end

    def test_for_a_host_that_is_not_there
      send_json(:post, "/api/clients/#{@client}/joins", "host" => "attic")
      assert_problem 422, ["/host", 'unknown host "attic"']
    end
  end
end
