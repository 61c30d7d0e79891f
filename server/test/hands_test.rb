# frozen_string_literal: true

require_relative "helper"

module Kippen
  # Stand-in hands over the contract: which there are, how they are turned, what they press.
  class HandsRoutesTest < ServerTest
    def setup
      super
      add_client
    end

    def post_hand(what, **body) = send_json(:post, "/api/clients/#{@client}/hands/#{what}", body.transform_keys(&:to_s))

    def test_a_new_client_has_eight_hands_to_try_with
      hands, dials = ask("/api/clients/#{@client}/hands").values_at("hands", "dials")
      made_up = hands.reject { |hand| hand["own"] }
      assert_equal [8, ["invented"]], [made_up.size, made_up.map { |hand| hand["source"] }.uniq]
      assert_equal({ "id" => "press", "unit" => "ms", "from" => 30, "to" => 2000, "step" => 10 }, dials.first)
      assert_equal [dials.map { |dial| dial["id"] }], hands.map { |hand| hand["values"].keys }.uniq
    end

    def test_a_picture_follows_what_is_turned_and_presses_nothing
      lasts = lambda do |dials|
        post_hand("picture", hand: "steady", seed: 1, dials:)["shown"].first["touches"].first.then { |from, to| to - from }
      end
      assert_in_delta 10, lasts.call("press" => 1000).fdiv(lasts.call("press" => 100)), 0.2
      assert_equal 200, status
      assert_empty ask("/api/clients/#{@client}/bench")["streams"]
      post_hand("picture", hand: "steady", seed: 1, dials: { "press" => 1 })
      assert_equal [422, "/dials/press"], [status, answer["faults"][0]["where"]]
    end

    def test_it_presses_as_it_is_turned
      held = lambda do |dials|
        tile = post_hand("presses", hand: "steady", seed: 1, button: EDGE, script: ["tap"], dials:)["tiles"].max_by do |one|
          one["began_us"]
        end
        tile["touches"].first.then { |touch| touch["ended_us"] - touch["began_us"] }
      end
      assert_operator held.call("press" => 1500), :>, held.call({}) * 8
      post_hand("presses", hand: "nobody", seed: 1, button: EDGE, script: ["tap"])
      assert_equal [422, [{ "where" => "/hand", "message" => 'no stand-in hand "nobody"' }]], [status, answer["faults"]]
    end

    def test_a_hand_that_is_kept_is_the_clients_own
      change({ "kind" => "keep_hand", "hand" => "tremor", "name" => "Hers", "dials" => { "restrike" => 90 } })
      assert_equal 201, status, answer
      own = ask("/api/clients/#{@client}/hands")["hands"].find { |hand| hand["name"] == "Hers" }
      assert_equal [true, 90], [own["own"], own["values"]["restrike"]]
      post_hand("presses", hand: own["id"], seed: 1, button: EDGE, script: ["tap"])
      assert_equal 201, status
    end
  end
end
