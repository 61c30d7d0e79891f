# frozen_string_literal: true

require_relative "handed_over"

module Kippen
  # A client's whole file into the client it came from, or another: what it would change first, then done once.
  class TakeIntoTest < ServerTest
    include HandedOver

    def everything
      sign_in_as("lead")
      get("/api/clients/#{@client}/everything")
      JSON.parse(last_response.body).tap { sign_in_as("specialist") }
    end

    def presses(number)
      press = { "intended" => "long_press", "trace" => [[0, "down"], [900_000, "up"]] }
      file = { "kippen" => "trials/1", "button" => { "id" => EDGE }, "offered" => %w[tap long_press],
               "trials" => [press] * number }
      send_json(:post, "/api/clients/#{@client}/trials", "button" => EDGE, "file" => file)
    end

    def look(file) = send_json(:post, "/api/clients/#{@client}/whole", file)
    def take(file, onto:) = send_json(:post, "/api/clients/#{@client}/whole?onto=#{onto}", file)
    def trials = DATABASE[:trials].where(sitting_id: DATABASE[:sittings].where(client_id: @client).select(:id)).count

    # Gone on with on another machine: more presses, another fitting; here they are missing.
    def elsewhere
      presses(3)
      file = everything
      sitting = file["sittings"].first.merge("id" => "a", "began_at" => "2026-11-29T10:00:00.000Z")
      more = file["trials"].map { |row| row.merge("id" => "t#{row["number"]}", "sitting_id" => "a") }
      head = file["revisions"].last
      document = head["document"].merge("client" => { "name" => "Bram elsewhere" })
      file.merge("sittings" => file["sittings"] + [sitting], "trials" => file["trials"] + more,
                 "revisions" => file["revisions"] + [head.merge("number" => head["number"] + 1, "parent" => head["number"],
                                                                "document" => document)])
    end

    def test_into_the_client_it_came_from_it_is_shown_first_and_done_once
      file = elsewhere
      looked = look(file)
      assert_equal 200, status, looked
      assert_equal [true, { "streams" => 0, "sittings" => 1, "trials" => 3, "fits" => 0, "handovers" => 0, "hand_ticks" => 0 }],
                   looked.values_at("own", "counts")
      assert_includes looked["words"].join, "Bram elsewhere"
      assert_equal [newest, 3], [1, trials], "a look changes nothing"
      done = take(file, onto: newest)
      assert_equal [200, 2, "From a client's file"], [status, *done["revision"]&.values_at("number", "note")], done
      assert_equal [6, "Bram elsewhere"], [trials, ask("/api/clients/#{@client}")["name"]]
      again = take(file, onto: newest)
      assert_equal [nil, 6, 2], [again["revision"], trials, newest]
      assert_equal 0, look(file)["counts"].values.sum
      send_json(:post, "/api/clients/#{@client}/steps", "step" => "undo", "revision" => newest)
      refute_equal "Bram elsewhere", ask("/api/clients/#{@client}")["name"]
    end

    def test_onto_a_revision_that_was_outrun_it_waits_for_another_look
      file = elsewhere
      assign("long_press", ANSWER)
      take(file, onto: 1)
      assert_equal [409, 3], [status, trials]
    end

    # Taken in as a new client, then home again: what happened meanwhile comes along, hand-overs where the history is the same.
    def test_home_again_from_another_machine
      assign("long_press", ANSWER)
      onto
      home = @client
      file = everything
      send_json(:post, "/api/whole-clients", file)
      @client = answer["id"]
      presses(2)
      back = everything
      @client = home
      looked = look(back)
      assert_equal [false, 1, 2, 0], [looked["own"], *looked["counts"].values_at("sittings", "trials", "handovers")], looked
      take(back, onto: newest)
      assert_equal [200, 2, 1], [status, trials, DATABASE[:handovers].where(client_id: home).count]
    end

    def test_what_is_none_is_refused_and_changes_nothing
      file = everything
      { { "kippen" => "fitting/1" } => "/kippen", { "revisions" => [] } => "/revisions",
        { "sittings" => [{ "id" => "x" }] } => "/sittings/0/button",
        { "sittings" => [{ "id" => "x", "button" => 7,
                           "began_at" => "2026-11-29T10:00:00.000Z" }] } => "/sittings/0",
        { "revisions" => [{ "document" => DEMO.merge("hosts" => 3) }] } => "/change/document/hosts" }.each do |wrong, where|
        take(file.merge(wrong), onto: newest)
        assert_equal [422, where], [status, answer["faults"]&.first&.fetch("where")], wrong.to_s
      end
      assert_equal 1, newest
    end

    def test_another_services_client_is_not_reached
      file = everything
      other = store.add_service("Elsewhere")
      sign_in_as("specialist", service: other)
      look(file)
      assert_equal 404, status
    end
  end
end
