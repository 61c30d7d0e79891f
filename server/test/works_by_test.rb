# frozen_string_literal: true

require_relative "handed_over"

module Kippen
  # By what presses are decided: the desk, or what is on the devices.
  class WorksByTest < ServerTest
    include HandedOver

    # Pressed for a second: by the desk it answers the call, by the phone it does what was put on it.
    def pressed(seconds: 1)
      listener = send_json(:post, "/api/clients/#{@client}/listeners", "name" => "Desk")["id"]
      @stream = send_json(:post, "/api/listeners/#{listener}/streams", {})["id"]
      edges = [["down", 0], ["up", seconds * 1_000_000], ["told", 9_000_000]]
      messages = edges.each_with_index.map do |(kind, time_us), index|
        { "number" => index + 1, "source" => kind == "told" ? "" : EDGE, "kind" => kind, "t_us" => time_us }
      end
      send_json(:post, "/api/streams/#{@stream}/messages", "messages" => messages)
      told
    end

    def told = ask("/api/streams/#{@stream}")["tiles"].flat_map { |tile| tile["results"].map { |one| one["action_name"] } }

    def works_by(by) = send_json(:put, "/api/clients/#{@client}/works-by", "by" => by)

    def test_a_press_is_decided_by_what_is_on_the_device_where_one_says_so
      assign("long_press", ANSWER)
      assert_equal ["Answer the call"], pressed
      works_by("devices")
      assert_equal "devices", ask("/api/clients/#{@client}")["works_by"]
      refute_includes pressed, "Answer the call"
      onto
      # What was heard before is decided anew, by what is on it now.
      assert_equal ["Answer the call"], told
      assign("long_press", MARK, parent: newest)
      assert_equal ["Answer the call"], pressed
      works_by("desk")
      refute_includes told, "Answer the call"
    end
  end
end
