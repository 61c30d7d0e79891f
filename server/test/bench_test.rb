# frozen_string_literal: true

require_relative "helper"

module Kippen
  class BenchTest < ServerTest
    def setup
      super
      add_client
      assign("double_tap", MARK)
      assign("long_press", ANSWER, parent: 2)
      @listener = send_json(:post, "/api/clients/#{@client}/listeners", "name" => "Desk laptop")["id"]
      @stream = begin_stream
    end

    def begin_stream = send_json(:post, "/api/listeners/#{@listener}/streams", "")["id"]

    # number, time in ms, kind
    def heard(number, time_ms, kind)
      { "number" => number, "t_us" => (time_ms * 1000).to_i, "kind" => kind, "source" => kind == "told" ? "" : EDGE,
        "value" => "" }
    end

    def send_messages(*messages, stream: @stream)
      send_json(:post, "/api/streams/#{stream}/messages", "messages" => messages.map { |item| heard(*item) })
    end

    def results(view = answer)
      view["tiles"].map { |tile| tile["results"].map { |result| [result["gesture"], result["action_name"], result["at_us"]] } }
    end

    def test_a_press_explains_itself
      view = send_messages([1, 1000, "down"], [2, 1212, "up"], [3, 1512, "told"])

      assert_equal [[["tap", "Wake the screen", 1_512_000]]], results
      assert_equal ["Closed for 212 ms.", "Let go before 500 ms: not a long-press.",
                    "No second press came within the tap gap: a tap.",
                    "Everywhere keeps for a tap what the button does by itself: Wake the screen.", "It waited 300 ms (tap gap)."],
                   view["tiles"][0]["sentences"]
      assert_nil view["next_us"]
    end

    def test_while_a_press_is_pending_the_next_moment_is_told
      view = send_messages([1, 1000, "down"])
      assert_equal [1_500_000, [{ "button" => EDGE, "for" => "long_press", "due_us" => 1_500_000 }]],
                   view.values_at("next_us", "waiting")

      view = send_messages([2, 1200, "up"])
      assert_equal [1_500_000, [{ "button" => EDGE, "for" => "tap_gap", "due_us" => 1_500_000 }]],
                   view.values_at("next_us", "waiting")
    end

    def test_a_message_sent_twice_counts_once
      send_messages([1, 1000, "down"], [2, 1200, "up"])
      send_messages([1, 1000, "down"], [2, 1200, "up"], [3, 1500, "told"])

      assert_equal [3, [[["tap", "Wake the screen", 1_500_000]]]], [answer["received"], results]
    end

    def test_an_input_that_a_told_time_overtook_is_put_in_its_place
      send_messages([1, 1000, "down"])
      send_messages([3, 1500, "told"])
      assert_equal [[["long_press", "Answer the call", 1_500_000]]], results
      assert_equal 1, answer["heard_through"]

      send_messages([2, 1499, "up"], [4, 1799, "told"])
      assert_equal [[["tap", "Wake the screen", 1_799_000]]], results
      assert_equal 4, answer["heard_through"]
    end

    # Only what the messages sent can have changed is told; the whole is there for the asking.
    def test_an_answer_tells_what_may_have_changed
      send_messages([1, 0, "down"], [2, 100, "up"], [3, 400, "told"], [4, 1000, "down"], [5, 1100, "up"], [6, 1400, "told"])
      assert_equal [0, 1_000_000], answer["tiles"].map { |tile| tile["began_us"] }.sort
      view = send_messages([7, 2000, "down"])
      assert_equal [2_000_000, [2_000_000]], [view["from_us"], view["tiles"].map { |tile| tile["began_us"] }]
      view = send_messages([8, 1150, "down"], [9, 1200, "up"])
      assert_equal([2_000_000, 1_000_000], view["tiles"].map { |tile| tile["began_us"] })
      assert_equal 3, ask("/api/clients/#{@client}/bench")["streams"][0]["tiles"].size
    end

    # What happens as data: which action on which host and in which app, with every value.
    def test_an_outcome_carries_its_effect_as_data
      volume = { "kind" => "volume", "direction" => "up" }
      assign("long_press", volume, parent: 3)
      results = send_messages([1, 0, "down"], [2, 700, "up"])["tiles"].first["results"]
      assert_equal([{ "host" => "phone", "app" => nil, "action" => Server::CATALOGUE.whole(volume) }],
                   results.map { |one| one["does"] })
      assign("long_press", ANSWER, parent: 4)
      does = ask("/api/clients/#{@client}/bench")["streams"].first["tiles"].first["results"].first["does"]
      assert_equal({ "host" => "phone", "app" => "hearthcall", "action" => ANSWER }, does)
    end

    def test_499_and_501_ms_fall_on_either_side_of_500
      send_messages([1, 0, "down"], [2, 499, "up"], [3, 2000, "down"], [4, 2501, "up"], [5, 5000, "told"])

      assert_equal [[["long_press", "Answer the call", 2_500_000]], [["tap", "Wake the screen", 799_000]]], results
    end

    def test_the_same_press_is_decided_anew_when_the_boundary_is_moved
      send_messages([1, 0, "down"], [2, 700, "up"], [3, 1200, "told"])
      assert_equal [[["long_press", "Answer the call", 500_000]]], results

      change({ "kind" => "timing", "button" => EDGE, "setting" => "long_press_ms", "value" => 900 }, parent: 3)
      view = ask("/api/clients/#{@client}/bench")
      assert_equal 4, view["revision"]
      assert_equal [[["tap", "Wake the screen", 1_000_000]]], results(view["streams"][0])
    end

    def test_streams_in_which_nothing_was_heard_are_not_shown
      send_messages([1, 0, "down"], [2, 100, "up"])
      send_messages([1, 100, "told"], stream: begin_stream)

      assert_equal([@stream], ask("/api/clients/#{@client}/bench")["streams"].map { |stream| stream["stream"] })
    end

    def test_what_can_not_be_is_refused_whole
      send_json(:post, "/api/streams/#{@stream}/messages",
                "messages" => [heard(1, 0, "down"), heard(2, 5, "level"), heard(3, 6, "down").merge("source" => "none/such")])
      assert_problem 422, ["/messages/1", "#{EDGE} is a contact button and can't give level"],
                     ["/messages/2", 'unknown button "none/such"']
      assert_equal [], ask("/api/clients/#{@client}/bench")["streams"]

      send_messages([0, 0, "down"])
      assert_problem 400
      send_messages([1, 0, "down"], stream: "0" * 8)
      assert_problem 404
    end
  end
end
