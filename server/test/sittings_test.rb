# frozen_string_literal: true

require_relative "sitting_case"
require_relative "../jobs/jobs"

module Kippen
  # Sittings and their trials: prompts, what is heard, what is kept of it.
  class SittingsTest < SittingCase
    def test_what_a_prompt_gave_is_kept_as_it_was_heard
      first = begin_sitting
      assert_equal [0, 0], [first["prompt"]["number"], first["rows"]]
      press(80, 120, apart: 60)
      heard = now
      assert_equal [2, false, [80, 120]], heard["heard"].values_at("presses", "down", "held")
      after = done
      assert_equal [1, first["prompt"]["intended"]], [after["prompt"]["number"], after["trials"].first["intended"]]
      after = step("meant", trial: after["trials"].first["id"], intended: "tap")
      assert_equal [[80, 120], [60]], after["trials"].first.values_at("held", "apart")
      assert_equal [[0, "down"], [80_000, "up"], [140_000, "down"], [260_000, "up"]], trace(after["trials"].first)
      assert_equal "Desk", after["trials"].first["heard_by"]
    end

    def test_an_answer_that_comes_twice_counts_once
      begin_sitting
      press(80)
      step("done", prompt: 0)
      step("done", prompt: 0)
      assert_equal [1, 1], [now["trials"].size, now["prompt"]["number"]]
    end

    # Nobody has tried: neither a miss nor a trial. Resting is an answer without a press.
    def test_going_on_without_a_press_is_no_trial
      begin_sitting
      30.times do
        intended = now["prompt"]["intended"]
        kept = now["trials"].size
        number = now["prompt"]["number"]
        after = done
        assert_equal [kept + (intended == "rest" ? 1 : 0), number + 1], [after["trials"].size, after["prompt"]["number"]],
                     intended
      end
      assert_equal %w[rest], now["trials"].map { |one| one["intended"] }.uniq
    end

    # Help that is asked for while a press is only asked for must not be rung for, even on a simulated screen.
    def test_what_a_sitting_asks_for_is_done_nowhere
      change({ "kind" => "assign", "button" => EDGE, "gesture" => "tap", "action" => { "kind" => "help" } })
      said = -> { ask("/api/clients/#{@client}/screens")["screens"].map { |screen| screen["said"] } }
      before = said.call
      begin_sitting
      press(80, apart: 2_000)
      press(80, apart: 2_000)
      assert_equal before, said.call
      step("end")
      press(80, apart: 2_000)
      press(80)
      refute_equal before, said.call
    end

    # The page had seen less than there was by then.
    def test_what_came_meanwhile_is_looked_at_first
      begin_sitting
      press(80)
      press(90)
      step("done", prompt: 0, seen: 2)
      assert_equal [0, 0], [now["trials"].size, now["prompt"]["number"]]
      step("done", prompt: 0, seen: 4)
      assert_equal 1, now["trials"].size
    end

    def test_while_it_rests_nothing_is_taken
      begin_sitting
      step("pause")
      press(80)
      assert_equal 0, now["rows"]
      step("go_on")
      press(80)
      assert_equal 2, now["rows"]
      step("again")
      assert_equal [0, 0], [now["rows"], now["prompt"]["number"]]
    end

    def test_only_its_own_button_and_one_stream_a_prompt
      begin_sitting
      press(80, button: "pocket-phone/volume-up")
      assert_equal 0, now["rows"]
      press(80)
      other = send_json(:post, "/api/listeners/#{@listener}/streams", {})["id"]
      send_json(:post, "/api/streams/#{other}/messages",
                "messages" => [{ "number" => 1, "t_us" => 5, "source" => EDGE, "kind" => "down" }])
      assert_equal 2, now["rows"]
    end

    def test_skipped_and_discounted_and_meant_otherwise
      begin_sitting
      step("skip", prompt: 0)
      press(80)
      kept = done
      assert_equal([1], kept["trials"].map { |one| one["number"] })
      trial = kept["trials"].first["id"]
      stamp = -> { ask("/api/clients/#{@client}/tuning")["sittings"].first["stamp"] }
      before = stamp.call
      assert_equal 0, step("discount", trial:)["counted"]
      refute_equal before, stamp.call
      assert_equal 1, step("count", trial:)["counted"]
      assert_equal before, stamp.call
      # What was asked for is drawn by chance.
      other = (%w[rest tap] - [kept["trials"].first["intended"]]).first
      assert_equal other, step("meant", trial:, intended: other)["trials"].first["intended"]
      refute_equal before, stamp.call
      step("meant", trial:, intended: "double_tap")
      assert_problem 422
      assert_equal "coughed", step("note", trial:, note: "coughed")["trials"].first["note"]
      assert_equal "after lunch", step("note", note: "after lunch")["note"]
      step("count", trial: "0" * 36)
      assert_problem 404
    end

    def test_a_half_finished_one_is_taken_up_again
      begin_sitting
      press(80)
      done
      press(70)
      half = @sitting
      begin_sitting
      assert_equal [false, true], [ask("/api/sittings/#{half}")["open"], now["open"]]
      @sitting = half
      step("done", prompt: 1)
      assert_problem 409
      again = step("open")
      assert_equal [true, 1, 1, 2], [again["open"], again["trials"].size, again["prompt"]["number"], again["rows"]]
      assert_equal 2, done["trials"].size
    end

    def test_the_prompts_of_a_seed_are_the_same_and_mixed
      begin_sitting
      asked = Array.new(12) { now["prompt"]["intended"].tap { press(80, apart: 200) && done } }
      assert_equal %w[long_press long_press rest tap tap], asked.first(5).sort
      assert_equal %w[long_press long_press rest tap tap], asked[5, 5].sort
      refute(asked.each_cons(3).any? { |three| three.uniq.one? })
    end

    def test_a_stand_in_hand_answers_too
      with_hand = DEMO.merge("hands" => [{ "id" => "steady", "press_ms" => { "median" => 100 }, "long_ms" => { "median" => 900 },
                                           "apart_ms" => { "median" => 150 } }])
      add_client(with_hand)
      begin_sitting
      send_json(:post, "/api/clients/#{@client}/hands/presses", "hand" => "steady", "button" => EDGE, "script" => %w[tap],
                                                                "seed" => 1)
      assert_equal [100], now["heard"]["held"]
    end

    def test_finding_a_guard_by_hand
      begin_sitting(way: "by_hand")
      press(60, 60, apart: 70)
      assert_equal [150, false], done["by_hand"].values_at("guard_ms", "found")
      press(60, 60, apart: 70)
      state = done["by_hand"]
      assert_equal [150, true], state.values_at("guard_ms", "found")
      assert_nil now["prompt"]
      assert_equal [[100, 2], [150, 1]], state["tried"].map(&:values)
    end

    def test_another_finger_says_whether_the_switch_is_worn
      begin_sitting(whose: "specialist", offered: %w[tap])
      6.times do
        press(50, 60, apart: 8) if now["prompt"]["intended"] == "tap"
        @ms += 500
        done
      end
      worn = now["worn"]
      assert_equal true, worn["worn"]
      assert_includes worn["words"], "the switch is worn"
    end

    def test_a_file_goes_out_and_comes_in
      begin_sitting
      press(80)
      done
      file = ask("/api/clients/#{@client}/trials", "button" => EDGE, "sittings" => @sitting)
      assert_equal "trials/1", file["kippen"]
      assert_equal([[[0, "down"], [80_000, "up"]]], file["trials"].map { |one| one["trace"] })
      send_json(:post, "/api/clients/#{@client}/trials", "button" => EDGE, "file" => file)
      assert_equal 201, status, last_response.body
      assert_equal [[80], "file", false], [answer["trials"].first["held"], *answer.values_at("way", "open")]
      send_json(:post, "/api/clients/#{@client}/trials", "button" => EDGE,
                                                         "file" => file.merge("trials" => [{ "intended" => "wave",
                                                                                             "trace" => [[1, "bang"]] }]))
      assert_problem 422
    end

    # Of a sitting that is over; trials – as the store takes them
    def ended(trials)
      sittings = Server::Store::Sittings.new(DATABASE)
      about = { button: EDGE, way: "file", whose: "client", offered: %w[tap], author: "A specialist" }
      sittings.begin_ended(@client, **about) { |row| sittings.add_trials(row, trials) }[:id]
    end

    def trials(count, edges = 2)
      trace = Array.new(edges) { |index| [index * 1000, index.even? ? "down" : "up"] }
      Array.new(count) { |number| { number:, intended: "tap", trace: } }
    end

    def test_what_comes_out_goes_in_again_however_much_it_is
      file = ask("/api/clients/#{@client}/trials", "button" => EDGE, "sittings" => ended(trials(90, 2_000)))
      assert_operator last_response.body.bytesize, :>, 2_000_000
      send_json(:post, "/api/clients/#{@client}/trials", "button" => EDGE, "file" => file)
      assert_equal 201, status, last_response.body
      assert_equal 180, DATABASE[:trials].join(:sittings, id: :sitting_id).where(client_id: @client).count
    end

    def test_what_would_be_too_much_for_a_file_is_refused_at_both_ends
      both = Array.new(2) { ended(trials(2_600)) }.join(",")
      ask("/api/clients/#{@client}/trials", "button" => EDGE, "sittings" => both)
      assert_problem 413
      assert_includes answer["detail"], "choose fewer sittings"
      kept = DATABASE[:trials].count
      { trials(5_001) => /at most 5000 trials/, trials(200, 2_000) => /at most 4000 kB/ }.each do |many, words|
        assert_match(words, assert_raises(Server::Store::Sittings::Closed) { ended(many) }.message)
      end
      assert_equal kept, DATABASE[:trials].count
    end
  end
end
