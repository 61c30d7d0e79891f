# frozen_string_literal: true

require_relative "helper"

module Kippen
  # A test with a client, a listener of theirs, and presses.
  class SittingCase < ServerTest
    def setup
      super
      add_client
      @listener = send_json(:post, "/api/clients/#{@client}/listeners", "name" => "Desk")["id"]
      @stream = send_json(:post, "/api/listeners/#{@listener}/streams", {})["id"]
      @number = 0
      @ms = 0
    end

    def begin_sitting(**more)
      send_json(:post, "/api/clients/#{@client}/sittings",
                { "button" => EDGE, "way" => "prompts", "whose" => "client",
                  "offered" => %w[tap long_press] }.merge(more.transform_keys(&:to_s)))
      assert_equal 201, status, last_response.body
      @sitting = answer["id"]
      answer
    end

    def now = ask("/api/sittings/#{@sitting}")

    def step(what, **more)
      send_json(:post, "/api/sittings/#{@sitting}/steps", { "do" => what }.merge(more.transform_keys(&:to_s)))
    end

    def done(**more) = step("done", prompt: now["prompt"]["number"], **more)

    # Presses for so long each, one after the other.
    def press(*lengths, apart: 100, button: EDGE)
      rows = lengths.flat_map do |for_ms|
        [[@ms, "down"], [@ms + for_ms, "up"]].tap { @ms += for_ms + apart }
      end
      messages = rows.map { |at, kind| { "number" => @number += 1, "t_us" => at * 1000, "source" => button, "kind" => kind } }
      send_json(:post, "/api/streams/#{@stream}/messages", "messages" => messages)
      assert_equal 200, status, last_response.body
    end

    def trace(trial) = DATABASE[:trials].where(id: trial["id"]).get(:trace).to_a
  end
end
