# frozen_string_literal: true

require_relative "helper"
require_relative "../jobs/worker"

module Kippen
  # A test with a client, trials of theirs, and fits of those.
  class FitCase < ServerTest
    def setup
      super
      setup_client
    end

    def setup_client
      phone = { "id" => "pocket-phone", "kind" => "phone", "worked_with" => "left thumb",
                "buttons" => [{ "id" => "edge" }, { "id" => "volume-up" }] }
      add_client(DEMO.merge("hosts" => [{ "id" => "phone", "name" => "Phone", "system" => "phone" }], "devices" => [phone],
                            "assignments" => { "tap" => MARK, "long_press" => ANSWER }.map do |gesture, action|
                              { "button" => EDGE, "gesture" => gesture, "action" => action }
                            end))
    end

    # Short presses of 540 to 620 ms that come out as long today, and long ones of 1 400 ms and more; a device on which
    # 400, 500, 700, 1000 and 1500 can be set.
    def file(count = 16)
      trials = Array.new(count) do |index|
        long = index.odd?
        { "intended" => long ? "long_press" : "tap",
          "trace" => [[0, "down"], [((long ? 1400 : 540) + (index * 5)) * 1000, "up"]] }
      end
      { "kippen" => "trials/1", "button" => { "id" => EDGE, "kind" => "contact" }, "offered" => %w[tap long_press],
        "trials" => trials }
    end

    def add_sitting(file = file())
      send_json(:post, "/api/clients/#{@client}/trials", "button" => EDGE, "file" => file)
      assert_equal 201, status, last_response.body
      answer["id"]
    end

    def want(sitting = add_sitting, **more)
      send_json(:post, "/api/clients/#{@client}/fits",
                { "button" => EDGE, "sittings" => [sitting] }.merge(more.transform_keys(&:to_s)))
      assert_equal 201, status, last_response.body
      @fit = answer["id"]
      answer
    end

    def work = Server::Jobs::FitTiming.run(@fit)
    def fit = ask("/api/fits/#{@fit}")
  end
end
