# frozen_string_literal: true

require_relative "handed_over"

module Kippen
  # A client's file goes out whole and comes in again, on this machine or another, as a new client.
  class TakeInTest < ServerTest
    include HandedOver

    def everything
      sign_in_as("lead")
      get("/api/clients/#{@client}/everything")
      assert_equal 200, status
      JSON.parse(last_response.body)
    end

    def take_in(file)
      sign_in_as("specialist")
      send_json(:post, "/api/whole-clients", file)
    end

    # What was heard live, by a key that stands for a button.
    def hear
      send_json(:post, "/api/clients/#{@client}/listeners", "name" => "Desk")
      listener = answer["id"]
      send_json(:put, "/api/listeners/#{listener}/bindings", "bindings" => { "key:F6" => EDGE })
      send_json(:post, "/api/listeners/#{listener}/streams", { "raw" => true })
      sent = %w[down up].each_with_index.map do |kind, index|
        { "number" => index + 1, "t_us" => index * 90_000, "source" => "key:F6", "kind" => kind }
      end
      send_json(:post, "/api/streams/#{answer["id"]}/messages", "messages" => sent)
      assert_equal 200, status, answer
    end

    # With presses, a hand-over, and one that was taken back.
    def with_a_past
      press = { "intended" => "long_press", "trace" => [[0, "down"], [900_000, "up"]] }
      file = { "kippen" => "trials/1", "button" => { "id" => EDGE }, "offered" => %w[tap long_press], "trials" => [press] * 9 }
      send_json(:post, "/api/clients/#{@client}/trials", "button" => EDGE, "file" => file)
      assert_equal 201, status, answer
      hear
      assign("long_press", ANSWER)
      onto
      assign("double_tap", MARK, parent: newest)
      send_json(:post, "/api/clients/#{@client}/steps", "step" => "undo", "revision" => newest)
    end

    PARTS = %w[revisions listeners bindings streams messages sittings trials screens carriers handovers hand_ticks fits
               evidence].freeze
    # What is another in each place.
    OWN = %w[id client_id listener_id join_id sitting_id carrier_id fit_id service_id stream_id of_stream page].freeze

    def told(everything)
      everything.slice(*PARTS).transform_values do |rows|
        rows.map { |row| row.except(*OWN) }.sort_by(&:to_s)
      end
    end

    def test_out_and_in_again_it_is_the_same
      with_a_past
      out = everything
      assert_equal [4, 9, 1, 2], out.values_at("revisions", "trials", "handovers", "messages").map(&:size)
      fitting = ask("/api/clients/#{@client}/fitting")
      desk = take_in(out)
      assert_equal 201, status, desk
      old = @client
      @client = desk["id"]
      refute_equal old, @client
      assert_equal fitting, ask("/api/clients/#{@client}/fitting")
      again = everything
      on_top = again["revisions"].pop
      assert_equal [5, "A specialist", "Taken in from a client's file, with its history"],
                   on_top.values_at("number", "author", "note")
      assert_equal told(out), told(again)
      assert_equal ["on_it", 2], [has["state"], has["brought"]["revision"]]
    end

    # What undo would take back, and what it rests on, is as it was.
    def test_it_can_be_gone_on_with
      with_a_past
      out = everything
      @client = take_in(out)["id"]
      history = ask("/api/clients/#{@client}/revisions")["revisions"].map { |row| row["number"] }
      assert_equal [5, 4, 3, 2, 1], history
      change({ "kind" => "timing", "button" => EDGE, "setting" => "long_press_ms", "value" => 700 }, parent: 5)
      assert_equal 201, status, answer
      assert_equal ["differs", 1], [has["state"], differ]
    end

    def test_what_is_not_taken_leaves_nothing_behind
      out = everything
      before = DATABASE[:clients].count
      { { "kippen" => "client/9" } => "/kippen", { "revisions" => [] } => "/revisions",
        { "revisions" => [out["revisions"][0].merge("number" => 2)] } => "/revisions",
        { "revisions" => [out["revisions"][0].merge("how" => "odd")] } => "/revisions/0/how",
        { "revisions" => [out["revisions"][0].merge("parent" => 7)] } => "/revisions/0/parent",
        { "revisions" => [out["revisions"][0].merge("document" => { "kippen" => "fitting/1", "hosts" => 7 })] } => "/hosts",
        { "trials" => [{ "sitting_id" => "x" }] } => "/trials/0", { "sittings" => [{ "button" => 7 }] } => "/sittings/0",
        { "messages" => [{ "stream_id" => "x" }] } => "/messages/0",
        { "sittings" => 7 } => "/sittings", { "screens" => [7] } => "/screens",
        { "handovers" => [{ "state" => "odd" }] } => "/handovers/0" }.each do |wrong, where|
        take_in(out.merge(wrong))
        assert_equal [422, where], [status, answer["faults"]&.first&.fetch("where")], wrong.to_s
        assert_equal before, DATABASE[:clients].count
      end
    end

    # Its presses and hand-overs are this service's, whoever's they were; nobody else's are reached by it.
    def test_ids_of_others_lead_nowhere
      out = everything
      other = DATABASE[:clients].where(id: @client).get(:id)
      taken = take_in(out.merge("clients" => [{ "id" => other }], "client_id" => other, "viewers" => [{ "name" => "x" }]))
      assert_equal 201, status, taken
      refute_equal other, taken["id"]
      assert_empty DATABASE[:viewings].where(client_id: taken["id"]).all
    end
  end
end
