# frozen_string_literal: true

require_relative "committed"

module Kippen
  # Two who keep the same press at the same time, and one who means it as another sort: one trial, and never none.
  class KeptAtOnceTest < CommittedCase
    LEFT = "mouse/left"

    def setup
      super
      listener = send_json(:post, "/api/clients/#{@client}/listeners", "name" => "Desk")["id"]
      @stream = send_json(:post, "/api/listeners/#{listener}/streams", {})["id"]
      messages = [[1, 0, "down"], [2, 80_000, "up"]].map do |number, t_us, kind|
        { "number" => number, "t_us" => t_us, "source" => LEFT, "kind" => kind }
      end
      send_json(:post, "/api/streams/#{@stream}/messages", "messages" => messages)
      @token = csrf
      @cookie = last_request.env["HTTP_COOKIE"]
    end

    def keep(intended)
      body = JSON.generate("stream" => @stream, "button" => LEFT, "from_us" => 0, "to_us" => 80_000, "intended" => intended)
      session = Rack::Test::Session.new(Rack::MockSession.new(APP, "localhost"))
      session.post("/api/clients/#{@client}/kept", body, "CONTENT_TYPE" => "application/json", "HTTP_X_CSRF_TOKEN" => @token,
                                                         "HTTP_COOKIE" => @cookie).status
    end

    def test_it_is_one_trial
      8.times do
        statuses = %w[click click double_click tap].map { |intended| Thread.new { keep(intended) } }.map(&:value)
        assert_equal [201] * 4, statuses
        assert_equal 1, DATABASE[:trials].where(of_stream: @stream).count
      end
    end
  end
end
