# frozen_string_literal: true

require_relative "helper"

module Kippen
  # A client whose mouse can change hands, and what tests of confirming share.
  class ConfirmingCase < ServerTest
    MOUSE = JSON.parse(File.read(File.join(Server::ROOT, "demo", "ottoline.fitting.json")))
    SWAP = { "kind" => "arrange", "arrangement" => "left-handed-mouse", "device" => "mouse" }.freeze

    def setup
      super
      add_client(MOUSE)
    end

    def swap(**more)
      send_json(:post, "/api/clients/#{@client}/revisions",
                { "opened_on" => 1, "change" => SWAP }.merge(more.transform_keys(&:to_s)))
    end

    def desk = ask("/api/clients/#{@client}")

    def pending = desk["confirm"]

    def confirm(body) = send_json(:post, "/api/clients/#{@client}/confirmations", body)

    def swapped? = ask("/api/clients/#{@client}/fitting")["assignments"].any? { |item| item["button"] == "mouse/left" }

    def run_out = DATABASE[:confirmations].update(until: Time.now - 1)

    # One press of a button, short, as this browser sends it.
    def press(button, listener: @here ||= send_json(:post, "/api/clients/#{@client}/listeners", "name" => "Here")["id"])
      @stream ||= send_json(:post, "/api/listeners/#{listener}/streams", {})["id"]
      @number = @number.to_i + 2
      messages = [[-1, "down"], [0, "up"]].map do |step, kind|
        { "number" => @number + step, "t_us" => (@number + step) * 400_000, "source" => button, "kind" => kind }
      end
      send_json(:post, "/api/streams/#{@stream}/messages", "messages" => messages)
      assert_equal 200, status, answer
    end
  end
end
