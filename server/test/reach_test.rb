# frozen_string_literal: true

require_relative "helper"

module Kippen
  # The map, the day, and what is proposed.
  class ReachTest < ServerTest
    WANTS = [{ "id" => "answer", "what" => "Answer the call", "times_a_day" => 6, "wrong" => "serious", "importance" => "must",
               "action" => ANSWER },
             { "id" => "mark", "what" => "Mark it", "times_a_day" => 40, "importance" => "should", "action" => MARK },
             { "id" => "help", "what" => "Call somebody", "wrong" => "dangerous", "importance" => "must",
               "action" => { "kind" => "help" } }].freeze

    def setup
      super
      hosts = [{ "id" => "phone", "name" => "Phone", "system" => "phone" }]
      add_client(DEMO.merge("wants" => WANTS, "hosts" => hosts, "devices" => ready(DEMO["devices"])))
    end

    # All steps of getting ready are done.
    def ready(devices)
      done = { "by" => "Hollis", "at" => "2026-11-29T10:00:00Z", "version" => nil }
      devices.map { |one| one.merge("ready" => %w[permission awake first-press].to_h { |step| [step, done] }) }
    end

    def look(**query) = ask("/api/clients/#{@client}/reach", query)
    def propose(**given) = send_json(:post, "/api/clients/#{@client}/proposals", given)
    def proposal = ask("/api/clients/#{@client}/proposals")["proposal"]

    def work
      id = DATABASE[:proposals].where(client_id: @client, state: %w[waiting working]).reverse(:created_at).get(:id)
      Server::Jobs::Propose.run(id)
    end

    def proposed(**given)
      propose(**given)
      assert_equal 202, status, answer
      work
      proposal
    end

    def test_the_map_and_the_day
      assign("long_press", ANSWER)
      told = look
      assert_equal 200, status, told
      assert_equal [2, 3, 0], [told["revision"], told["wants"].size, told["wants"][1]["cells"].count { |cell| cell["way"] }]
      cell = told["wants"][0]["cells"].find { |one| one["way"] }
      assert_equal ["pocket-phone", 1, "long-press of Pocket phone, Edge key"],
                   [cell["device"], cell["way"]["presses"], cell["way"]["steps"][0]["words"]]
      assert_equal [6, 2], told["day"].values_at("presses", "undone")
      assert_equal(["“Answer the call” hangs on one way alone, by Pocket phone."], told["thin"].map { |one| one["what"] })
      off = look(without: "pocket-phone")
      assert_equal [3, "switched off"], [off["day"]["undone"], off["wants"][0]["cells"].find do |one|
        one["device"] == "pocket-phone"
      end["why"]]
      assert_equal([1, 3], look(against: 1)["before"].then { |before| [before["revision"], before["day"]["undone"]] })
    end

    # Presses of the client's own make it certain.
    def test_it_goes_by_this_clients_presses
      assign("long_press", ANSWER)
      press = { "intended" => "long_press", "trace" => [[0, "down"], [900_000, "up"]] }
      file = { "kippen" => "trials/1", "button" => { "id" => EDGE }, "offered" => %w[tap long_press], "trials" => [press] * 20 }
      send_json(:post, "/api/clients/#{@client}/trials", "button" => EDGE, "file" => file)
      way = look["wants"][0]["cells"].filter_map { |cell| cell["way"] }[0]
      assert_equal [true, 20, 0.9], [way["measured"], way["trials"], way["seconds"]]
    end

    def test_proposed_put_on_and_back
      told = proposed
      assert_equal ["done", 1, nil], told.values_at("state", "revision", "error"), told
      result = told["result"]
      assert_equal "optimal", result["status"]
      assert_equal((0...result["steps"].size).to_a, result["steps"].map { |step| step["changes"] })
      best = result["steps"].last
      assert_empty best["missing"]
      changes = [*best["gives_way"], *best["put"]].map { |one| one["change"] }
      send_json(:post, "/api/clients/#{@client}/previews", "change" => { "kind" => "several", "changes" => changes })
      assert_equal 200, status, answer
      change({ "kind" => "several", "changes" => changes })
      assert_equal 201, status, answer
      assert_equal 0, look["day"]["undone"]
      assert_equal([1, 2], ask("/api/clients/#{@client}/proposals").then do |view|
        [view["proposal"]["revision"], view["revision"]]
      end)
      send_json(:post, "/api/clients/#{@client}/steps", "step" => "undo", "revision" => 2)
      assert_equal 3, look["day"]["undone"]
    end

    def test_why_here_what_it_rests_on_and_what_is_ruled_out
      assign("long_press", ANSWER)
      told = proposed(pinned: ["answer"], buttons: ["pocket-phone/volume-up"], gestures: %w[double_tap triple_tap])
      result = told["result"]
      spots = result["steps"].flat_map { |step| step["put"].map { |one| one["change"].values_at("button", "gesture") } }
      assert_empty(spots.select do |button, gesture|
        button == "pocket-phone/volume-up" || %w[double_tap triple_tap].include?(gesture)
      end)
      here = result["here"].find { |one| one["want"] == "answer" }
      assert_equal "long-press of Pocket phone, Edge key", here["here"]
      assert(result["rests_on"].all? { |one| one["what"].include?("Pocket phone") })
      assert result["all_asked"]
    end

    # What is pinned to what is ruled out can't be, and is named.
    def test_pinned_to_what_is_ruled_out
      assign("long_press", ANSWER)
      result = proposed(pinned: ["answer"], gestures: ["long_press"])["result"]
      assert_equal ["impossible", ["“Answer the call”: long-press of Pocket phone, Edge key"], []],
                   result.values_at("status", "rules", "steps")
    end

    # As the service counts: two musts and a should are missing, and a second way to the dangerous one (a tenth); a long-press of
    # people in general goes wrong 8 times in 100, 6 a day.
    def test_what_it_is_counted_with
      before = proposed["result"]["steps"][0]
      assert_equal [(2 * 14_400) + 3600 + 1440, 0, 0], before.values_at("cost_s", "seconds", "wrong")
      sign_in_as("lead")
      send_json(:put, "/api/service/reach", "figures" => { "missing_s" => { "must" => 10_000 } })
      sign_in_as("specialist")
      assert_equal (2 * 10_000) + 3600 + 1000, proposed["result"]["steps"][0]["cost_s"]
      assign("long_press", ANSWER)
      assert_in_delta 6 * 0.08, proposed["result"]["steps"][0]["wrong"], 1e-3
    end

    # The one asked for last counts; what nobody wants is ended.
    def test_asked_anew_and_given_up
      propose
      first = proposal["id"]
      propose
      refute_equal first, proposal["id"]
      assert_equal "given_up", DATABASE[:proposals].where(id: first).get(:state)
      send_json(:post, "/api/proposals/#{proposal["id"]}/end", {})
      assert_equal "given_up", proposal["state"]
      Server::Jobs::Propose.run(proposal["id"])
      assert_nil proposal["result"]
      # One that somebody still works on stays, however old.
      DATABASE[:proposals].where(id: first).update(state: "working")
      8.times { propose }
      assert_equal ["working", true], DATABASE[:proposals].where(id: first).get(%i[state give_up])
      assert_operator DATABASE[:proposals].where(client_id: @client).count, :<=, 7
    end

    # No wants, no devices: there is nothing to propose, and that is said by it.
    def test_nothing_to_propose
      add_client({ "kippen" => "fitting/1", "client" => { "name" => "New" } })
      told = proposed
      assert_equal ["done", [0]], [told["state"], told["result"]["steps"].map { |step| step["changes"] }]
      assert_equal [[], 0], [look["wants"], look["day"]["presses"]]
    end

    # A button that is taken out meanwhile is in no proposal any more.
    def test_a_proposal_older_than_the_fitting
      proposed
      change({ "kind" => "take_out", "id" => "pocket-phone" })
      assert_equal 201, status, answer
      result = proposal["result"]
      assert_empty(result["steps"].flat_map { |step| step["put"] })
      assert_equal "optimal", result["status"]
    end

    # A lead's figures count for the whole service; what can't be is refused with where.
    def test_what_a_day_is_counted_with
      usual = ask("/api/service/reach")
      assert_equal [{}, 120], [usual["said"], usual["figures"]["wrong_s"]["serious"]]
      send_json(:put, "/api/service/reach", "figures" => { "rate" => 0.8 })
      assert_equal 403, status
      sign_in_as("lead")
      send_json(:put, "/api/service/reach", "figures" => { "wrong_s" => { "serious" => 60 } })
      assert_equal [200, 60, 1800], [status, *answer["figures"]["wrong_s"].values_at("serious", "dangerous")]
      send_json(:put, "/api/service/reach", "figures" => { "wrong_s" => { "serious" => -1 } })
      assert_equal [422, "/wrong_s/serious"], [status, answer["faults"][0]["where"]]
      sign_in_as("specialist")
      assign("long_press", ANSWER)
      way = look["wants"][0]["cells"].filter_map { |cell| cell["way"] }[0]
      assert_in_delta 6 * (way["seconds"] + ((1 - way["right"]) * 60)), way["cost_s_a_day"], 0.01
    end

    def test_whose_client_it_is_not_gets_nothing
      propose
      id = proposal["id"]
      sign_in_as("specialist", service: store.add_service("Elsewhere"))
      ["/api/clients/#{@client}/reach", "/api/clients/#{@client}/proposals"].each do |path|
        get(path)
        assert_equal 404, status, path
      end
      send_json(:post, "/api/proposals/#{id}/end", {})
      assert_equal 404, status
    end
  end
end
