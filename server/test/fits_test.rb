# frozen_string_literal: true

require_relative "fit_case"

module Kippen
  # Fits: made by the worker from what was sent, told, and applied with what they rest on.
  class FitsTest < FitCase
    def test_from_trials_to_a_fit_that_can_be_set
      assert_equal ["waiting", nil], want.values_at("state", "result")
      assert_equal 1, DATABASE[:que_jobs].where(job_class: "Kippen::Server::Jobs::FitTiming")
        .where(Sequel.lit("args->>0 = ?", @fit)).count
      work
      result = fit.fetch("result")
      assert_includes [700, 1000], result["timing"]["long_press_ms"]
      assert_equal [16, false], result["expected"].values_at("n", "few")
      assert_equal(["today's", "unfitted", "unfitted, as Qt 5.15 has it", "unfitted filters, as X server 21.1 has them",
                    "found by hand", "fitted"],
                   result["compared"].map { |one| one["name"] })
      assert_equal([0.5, 1.0], result["compared"].values_at(0, -1).map { |one| one["right"] })
      assert_equal "or" * 8, result["compared"][0]["state"]
      assert_equal "r" * 16, result["compared"].last["state"]
      assert_equal(["This button", "All of pocket-phone", "All worked with the left thumb"],
                   result["applies"].map { |one| one["words"] })
      long = result["settings"].find { |one| one["name"] == "long_press_ms" }
      assert_equal 500, long["today"]
      assert_includes long["words"].join(" "),
                      "The longest press that was to be short took 610 ms, the shortest that was to be long 1405 ms."
      assert_includes result["pays"].map { |one| [one["id"], one["where"]["gesture"]] }, %w[later long_press]
    end

    def test_the_same_of_the_same_is_made_once
      sitting = add_sitting
      first = want(sitting)["id"]
      assert_equal first, want(sitting)["id"]
      refute_equal first, want(sitting, price: 0.5)["id"]
    end

    def test_a_held_value_stays_and_a_slower_price_is_another
      want(fixed: { "long_press_ms" => 500 })
      work
      assert_equal 500, fit["result"]["timing"]["long_press_ms"]
      send_json(:post, "/api/clients/#{@client}/fits", "button" => EDGE, "sittings" => [add_sitting],
                                                       "fixed" => { "long_press_ms" => 1 })
      assert_problem 422
      send_json(:post, "/api/clients/#{@client}/fits", "button" => EDGE, "sittings" => [add_sitting],
                                                       "fixed" => { "long_press_ms" => 490 })
      assert_equal "490 can't be set here; the nearest that can is 500", answer["faults"][0]["message"]
    end

    def test_given_up_before_and_meanwhile
      want
      assert_equal "given_up", send_json(:post, "/api/fits/#{@fit}/end", {})["state"]
      work
      assert_nil fit["result"]
      want(add_sitting, price: 0.02)
      long = Server::Jobs::FitTiming.work
      row = long.take(@fit)
      long.give_up(@fit)
      assert_raises(Server::Store::LongWork::Stopped) { long.progress(row, 1, 10) }
    end

    # Another worker has it by now: what the first one brings is nobody's.
    def test_who_was_thought_dead_changes_nothing
      want
      long = Server::Jobs::FitTiming.work
      first = long.take(@fit)
      second = long.take(@fit)
      assert_raises(Server::Store::LongWork::Stopped) { long.progress(first, 1, 10) }
      long.finish(first, "failed", error: "late")
      assert_equal "working", fit["state"]
      long.progress(second, 4, 10)
      assert_equal [4, 10], fit.values_at("done", "of")
    end

    def test_one_that_never_ends_fails_with_a_reason
      want
      long = Server::Jobs::FitTiming.work
      3.times { long.take(@fit) }
      work
      assert_equal ["failed", "It was begun 3 times and never came to an end."], fit.values_at("state", "error")
    end

    def test_one_that_takes_too_long_says_so
      want
      deadline = Server.deadline(-1)
      Deadline.stub(:new, deadline) { work }
      assert_equal ["failed", "So many trials take longer to fit than anybody waits: choose fewer sittings."],
                   fit.values_at("state", "error")
    end

    # The urgent one has the lower number (Que).
    def test_few_trials_go_before_many_and_services_take_turns
      urgent = -> { DATABASE[:que_jobs].where(job_class: "Kippen::Server::Jobs::FitTiming").reverse(:id).get(:priority) }
      first = want.then { urgent.call }
      many = add_sitting(file(1_200))
      long = want(many).then { urgent.call }
      second = want(add_sitting(file(18))).then { urgent.call }
      assert_operator first, :<, second
      assert_operator second, :<, long
      sign_in_as("specialist", service: store.add_service("Elsewhere"))
      setup_client
      want
      assert_equal first, urgent.call
      assert_equal [[nil], [999]], [Server::Worker::ANY, Server::Worker::SHORT]
      assert_operator long, :>, Server::Worker::SHORT.last
      assert_operator second, :<, Server::Worker::SHORT.last
    end

    def test_what_another_value_comes_to
      want
      work
      timing = fit["result"]["compared"].last["timing"]
      along = send_json(:post, "/api/fits/#{@fit}/along", "setting" => "long_press_ms", "timing" => timing)
      assert_equal [400, 500, 700, 1000, 1500], along["values"]
      assert_equal "or" * 8, along["states"][along["at"][1]]
      judged = send_json(:post, "/api/fits/#{@fit}/judged", "timing" => timing.merge("long_press_ms" => 400))
      assert_equal 0.5, judged["judged"]["right"]
      assert_includes judged["judged"]["waits"], { "gesture" => "long_press", "words" => "at 400 ms" }
      send_json(:post, "/api/fits/#{@fit}/judged", "timing" => timing.merge("long_press_ms" => 4))
      assert_problem 422
      send_json(:post, "/api/fits/#{@fit}/judged", "timing" => { "press_at" => 0.3, "release_at" => 0.4 })
      assert_problem 422
      assert_equal along, send_json(:post, "/api/fits/#{@fit}/along", "setting" => "long_press_ms", "timing" => {})
      assert_equal %w[press release],
                   send_json(:post, "/api/fits/#{@fit}/along", "setting" => "bounce_guard_from", "timing" => {})["values"]
    end

    def test_a_trial_tells_why_under_each_timing
      want
      work
      told = ask("/api/fits/#{@fit}/trials/0")
      assert_equal([%w[today's other long_press], %w[fitted right tap]],
                   told["told"].values_at(0, -1).map { |one| one.values_at("name", "verdict", "got") })
      assert_includes told["told"][0]["sentences"].join(" "), "Still down at 500 ms: a long-press."
      ask("/api/fits/#{@fit}/trials/16")
      assert_problem 404
    end

    def test_applied_it_is_what_the_revision_rests_on
      want
      work
      timing = fit["result"]["timing"]
      send_json(:post, "/api/clients/#{@client}/revisions", "opened_on" => 1, "fit" => @fit, "note" => fit["result"]["note"],
                                                            "change" => { "kind" => "fitted", "scope" => "button", "of" => EDGE,
                                                                          "timing" => timing })
      assert_equal 201, status, last_response.body
      newest = ask("/api/clients/#{@client}/revisions")["revisions"].first
      assert_equal [@fit, 16], newest["evidence"].values_at("fit", "trials")
      assert_match(/\ATiming fitted to 16 presses: \d+ % come out as meant/, newest["note"])
      document = ask("/api/clients/#{@client}/fitting")
      assert_equal timing["long_press_ms"], document["button_timing"][EDGE]["long_press_ms"]
      apply = lambda { |change|
        send_json(:post, "/api/clients/#{@client}/revisions", "opened_on" => 2, "fit" => @fit, "change" => change)
      }
      [{ "kind" => "client", "name" => "A" },
       { "kind" => "timing", "button" => EDGE, "setting" => "long_press_ms", "value" => 700 },
       { "kind" => "fitted", "scope" => "button", "of" => "pocket-phone/volume-up", "timing" => timing }].each do |change|
        apply[change]
        assert_equal [422, "/fit"], [status, answer["faults"][0]["where"]], change.inspect
      end
      apply[{ "kind" => "fitted", "scope" => "device", "of" => "pocket-phone",
              "timing" => timing.merge("long_press_ms" => 1234) }]
      moved = ask("/api/clients/#{@client}/revisions")["revisions"].first["evidence"]
      assert_equal [@fit, "Timing fitted to 16 presses and then moved by hand: what was promised is not of these values."],
                   moved.values_at("fit", "words")
      send_json(:post, "/api/clients/#{@client}/revisions", "opened_on" => 3, "fit" => "0" * 8,
                                                            "change" => { "kind" => "client", "name" => "A" })
      assert_problem 404
    end

    # Of a form that is no longer made: found anew where it is asked for, and what was applied still says on what it rests.
    def test_an_older_fit_is_still_what_a_revision_rests_on
      sitting = add_sitting
      first = want(sitting)["id"]
      work
      timing = fit["result"]["timing"]
      send_json(:post, "/api/clients/#{@client}/revisions", "opened_on" => 1, "fit" => @fit,
                                                            "change" => { "kind" => "fitted", "scope" => "button", "of" => EDGE,
                                                                          "timing" => timing })
      older = { "kippen" => "fit/1", "timing" => timing,
                "expected" => { "right" => 0.9, "low" => 0.8, "high" => 0.95, "n" => 16 } }
      DATABASE[:fits].where(id: first).update(result: Sequel.pg_jsonb(older))
      assert_equal ["done", nil], ask("/api/fits/#{first}").values_at("state", "result")
      assert_match(/16 presses: 90 % come out/, ask("/api/clients/#{@client}/revisions")["revisions"].first["evidence"]["words"])
      refute_equal first, want(sitting)["id"]
    end

    # What the button has now is today's, once it was applied.
    def test_applied_todays_is_what_was_applied
      want
      work
      todays = lambda {
        fit["result"]
          .then { |result| result["compared"].first.slice("name", "timing", "right").merge("in_force" => result["in_force"]) }
      }
      before = todays.call
      timing = fit["result"]["timing"]
      change({ "kind" => "fitted", "scope" => "button", "of" => EDGE, "timing" => timing })
      assert_equal 201, status, answer
      after = todays.call
      assert_equal ["today's", false, true], [after["name"], before["in_force"], after["in_force"]]
      assert_equal timing, after["timing"].slice(*timing.keys)
      assert_operator after["right"], :>, before["right"]
      settings = fit["result"]["settings"].to_h { |one| one.values_at("name", "today") }
      assert_equal timing.slice(*settings.keys), settings.slice(*timing.keys)
    end

    def test_another_day_against_these
      slower = file.merge("trials" => file["trials"]
        .map { |one| one.merge("trace" => [[0, "down"], [one["trace"][1][0] + 300_000, "up"]]) })
      before = add_sitting
      after = add_sitting(slower)
      told = ask("/api/clients/#{@client}/drift", "button" => EDGE, "before" => before, "after" => after)
      assert_equal([["length", true], ["gap", false], ["wrong", false]],
                   told["changes"].map { |one| one.values_at("what", "changed") })
      assert_in_delta 0.00078, told["changes"][0]["p"], 0.0005
    end
  end
end
