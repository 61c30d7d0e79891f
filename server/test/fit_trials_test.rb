# frozen_string_literal: true

require_relative "fit_case"

module Kippen
  # From which presses a timing is fitted, and from which it never is.
  class FitTrialsTest < FitCase
    OTHER = "pocket-phone/volume-up"

    # Presses of another button, by the same thumb unless said otherwise; as if it had been worked so then.
    def add_beside(count: 12, with: "left thumb", whose: "client")
      send_json(:post, "/api/clients/#{@client}/trials", "button" => OTHER, "file" => file(count))
      sitting = answer["id"]
      DATABASE[:trials].where(sitting_id: sitting).update(worked_with: with)
      DATABASE[:sittings].where(id: sitting).update(whose:)
      sitting
    end

    def rests_on(**more)
      want(add_sitting, **more)
      work
      fit["result"]["rests_on"]
    end

    def test_presses_of_the_same_hand_help_by_themselves_and_can_be_left_out
      add_beside
      told = rests_on
      assert_equal [16, 12], told.values_at("own", "beside")
      assert_operator told["weight"], :>, 0
      assert_equal "From 16 presses of this button. 12 of the same hand on other buttons or other days help.", told["words"]
      # The first sitting of this button is an earlier one by now.
      assert_equal [16, 28], rests_on.values_at("own", "beside")
      assert_equal [16, 0, "From 16 presses of this button."], rests_on(beside: false).values_at("own", "beside", "words")
    end

    def test_presses_of_another_hand_and_of_the_specialist_never_do
      add_beside(with: "right thumb")
      add_beside(whose: "specialist")
      assert_equal [16, 0], rests_on.values_at("own", "beside")
      own = add_beside(whose: "specialist")
      send_json(:post, "/api/clients/#{@client}/fits", "button" => OTHER, "sittings" => [own])
      assert_problem 404
    end

    def test_presses_of_another_button_are_its_own_only_where_somebody_says_so
      other = add_beside
      asked = { "button" => EDGE, "sittings" => [add_sitting, other] }
      send_json(:post, "/api/clients/#{@client}/fits", asked)
      assert_equal [422, "/sittings"], [status, answer["faults"][0]["where"]]
      send_json(:post, "/api/clients/#{@client}/fits", asked.merge("as_own" => true))
      assert_equal 201, status
      @fit = answer["id"]
      work
      told = fit["result"]["rests_on"]
      assert_equal [28, "From 28 presses, 12 of them of another button (pocket-phone, volume-up) that count as this one's."],
                   told.values_at("own", "words")
    end

    def test_another_clients_presses_and_fits_are_nobody_elses
      theirs = add_beside
      want
      work
      timing = fit["result"]["timing"]
      setup_client
      send_json(:post, "/api/clients/#{@client}/fits", "button" => EDGE, "sittings" => [theirs])
      assert_problem 404
      change = { "kind" => "fitted", "scope" => "button", "of" => EDGE, "timing" => timing }
      send_json(:post, "/api/clients/#{@client}/revisions", "opened_on" => 1, "fit" => @fit, "change" => change)
      assert_problem 404
      assert_equal [16, 0], rests_on.values_at("own", "beside")
      send_json(:post, "/api/clients/#{@client}/fits", "button" => EDGE, "sittings" => [theirs, own = add_sitting, "0" * 36])
      assert_equal [201, [own]], [status, answer["sittings"]]
    end

    # They are kept with each fit: a grip that rattles must not fill the disk.
    def test_of_what_is_beside_no_more_is_kept_than_helps
      rattle = Array.new(400) { |edge| [edge * 2_000, edge.even? ? "down" : "up"] }
      sitting = add_sitting(file.merge("trials" => Array.new(20) { { "intended" => "tap", "trace" => rattle } }))
      assert_operator sitting.size, :>, 0
      add_beside(count: 500)
      want
      beside = DATABASE[:fits].where(id: @fit).get(:file)["beside"]
      assert_operator beside.size, :<=, 120
      assert_operator beside.sum { |one| one["trace"].size }, :<=, 2_000
      refute_empty beside
    end

    # It is on the button: a fit of taps alone must not take it away, and says that it knows nothing of it.
    def test_what_is_on_the_button_and_was_not_asked_for_is_thought_of
      sitting = add_sitting(file.merge("offered" => %w[tap],
                                       "trials" => file["trials"].select { |one| one["intended"] == "tap" }))
      want(sitting)
      work
      assert_equal ["long_press"], fit["result"]["rests_on"]["never_asked"]
      assert_includes fit["result"]["notes"].join, "Long-press is offered and was never asked for"
      assert_includes fit["offered"], "long_press"
    end

    def test_of_resting_alone_there_is_no_fit_and_it_says_why
      still = { "intended" => "rest", "trace" => [] }
      sitting = add_sitting(file.merge("trials" => Array.new(10) { still }))
      2.times do
        send_json(:post, "/api/clients/#{@client}/fits", "button" => EDGE, "sittings" => [sitting])
        assert_equal 422, status
        assert_match(/Nothing was pressed, only rested/, answer["faults"][0]["message"])
      end
      assert_equal 0, DATABASE[:fits].where(client_id: @client).count
    end

    # Its presses are those that it was fitted to: they promise nothing of it.
    def test_todays_timing_is_judged_by_presses_it_was_not_fitted_to
      todays = -> { fit["result"]["compared"].first }
      DATABASE[:clients].where(id: @client).update(created_at: Time.now - 3600)
      sitting = add_sitting
      want(sitting)
      work
      assert_equal "unseen", todays.call["from"]
      timing = fit["result"]["timing"]
      send_json(:post, "/api/clients/#{@client}/revisions", "opened_on" => 1, "fit" => @fit,
                                                            "change" => { "kind" => "fitted", "scope" => "button", "of" => EDGE,
                                                                          "timing" => timing })
      assert_equal 201, status
      # What it has now is what was promised, as it was promised; another price judges it by what it saw.
      assert_equal fit["result"]["compared"].last["right"], todays.call["right"]
      want(sitting, price: 0.5)
      work
      assert_equal "seen", todays.call["from"]
      judged = send_json(:post, "/api/fits/#{@fit}/judged", "timing" => timing.merge("long_press_ms" => 700))
      assert_equal "seen", judged["judged"]["from"]
    end

    # Another attempt will do: it is no fault of the presses.
    def test_a_database_that_is_away_is_no_fault_of_the_fit
      want
      Server::FitResult.stub(:of, ->(*) { raise Sequel::DatabaseDisconnectError, "gone" }) do
        assert_raises(Sequel::DatabaseDisconnectError) { work }
      end
      assert_equal ["working", nil], fit.values_at("state", "error")
      Server::FitResult.stub(:of, ->(*) { raise ArgumentError, "odd" }) { work }
      assert_equal ["failed", "It could not be worked out."], fit.values_at("state", "error")
    end
  end
end
