# frozen_string_literal: true

require_relative "helper"

module Kippen
  # A press that no button or two buttons answer to is kept as heard, and breaks nothing.
  class HeardForNothingTest < ServerTest
    IGNACE = JSON.parse(File.read(File.join(Server::ROOT, "demo", "ignace.fitting.json")))
    HOSTS = [{ "id" => "phone", "system" => "phone" }, { "id" => "tv", "system" => "television" }].freeze

    def hear(path, source)
      messages = [[1, 1000, "down"], [2, 90_000, "up"]].map do |number, t_us, kind|
        { "number" => number, "t_us" => t_us, "source" => source, "kind" => kind }
      end
      send_json(:post, path, "messages" => messages)
      assert_equal 200, status, answer
    end

    def listen_to_everything(source)
      listener = send_json(:post, "/api/clients/#{@client}/listeners", "name" => "Here")["id"]
      hear("/api/streams/#{send_json(:post, "/api/listeners/#{listener}/streams", "raw" => true)["id"]}/messages", source)
    end

    def assert_opens
      ["", "/devices", "/lanes", "/wants", "/bench", "/revisions"].each do |part|
        ask("/api/clients/#{@client}#{part}")
        assert_equal 200, status, "#{part}: #{last_response.body}"
      end
    end

    def test_no_button_answers_to_it
      add_client(IGNACE)
      listen_to_everything("key:F9")
      assert_opens
      assert_equal ["key:F9", nil], ask("/api/clients/#{@client}/bench")["streams"][0]["heard"][0].values_at("source", "button")
      change({ "kind" => "client", "name" => "Ignace" })
      assert_equal 201, status, answer
    end

    def test_two_buttons_answer_to_it
      remote, phone = %w[remote phone].map { |id| Server::KINDS.find(id) }
      devices = [[remote, "tv"], [phone, "phone"]].map do |kind, host|
        { "id" => kind.id, "kind" => kind.id, "host" => host, "buttons" => kind.fitting_buttons(nil) }
      end
      add_client("kippen" => "fitting/1", "hosts" => HOSTS, "devices" => devices)
      listen_to_everything("key:AudioVolumeUp")
      assert_opens
      states = ask("/api/clients/#{@client}/devices")["devices"].map do |one|
        one["steps"].find { |step| step["id"] == "first-press" }["state"]
      end
      assert_empty states & %w[seen done], "nobody knows whose press it was"
    end

    def test_on_a_joined_device
      add_client(IGNACE)
      code = send_json(:post, "/api/clients/#{@client}/joins", "host" => "phone")["code"]
      token = send_json(:post, "/api/joined", "code" => code, "name" => "Phone")["token"]
      header "Authorization", "Bearer #{token}"
      stream = send_json(:post, "/api/joined/streams", {})["id"]
      hear("/api/joined/streams/#{stream}/messages", "key:F9")
      assert_opens
    end
  end
end
