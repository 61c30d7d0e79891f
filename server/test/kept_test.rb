# frozen_string_literal: true

require_relative "sitting_case"

module Kippen
  # Presses of the bench that are kept as trials, once somebody says what they were.
  class KeptTest < SittingCase
    def test_a_press_of_the_bench_is_kept
      press(80, 90, apart: 120)
      send_json(:post, "/api/clients/#{@client}/kept", "stream" => @stream, "button" => EDGE, "from_us" => 0, "to_us" => 80_000,
                                                       "intended" => "tap")
      assert_equal 201, status, last_response.body
      assert_equal([["tap", [80]]], answer["trials"].map { |one| one.values_at("intended", "held") })
      send_json(:post, "/api/clients/#{@client}/kept", "stream" => @stream, "button" => EDGE, "from_us" => 200_000,
                                                       "to_us" => 290_000, "intended" => "tap")
      assert_equal([[80], [90]], answer["trials"].map { |one| one["held"] })
      send_json(:post, "/api/clients/#{@client}/kept", "stream" => @stream, "button" => EDGE, "from_us" => 900_000,
                                                       "to_us" => 990_000, "intended" => "tap")
      assert_problem 422
    end

    def test_a_press_that_is_kept_again_is_one_trial_meant_as_is_said_last
      press(80)
      keep = lambda { |intended|
        send_json(:post, "/api/clients/#{@client}/kept", "stream" => @stream, "button" => EDGE, "from_us" => 0,
                                                         "to_us" => 80_000, "intended" => intended)
      }
      3.times { keep["tap"] }
      keep["long_press"]
      assert_equal [201, [["long_press", [80]]], 1],
                   [status, answer["trials"].map { |one| one.values_at("intended", "held") }, answer["counted"]]
      assert_equal %w[tap long_press], answer["offered"]
    end

    # A click after all: it goes to the clicks, and what is left can still be fitted.
    def test_a_press_that_was_meant_as_another_sort_goes_there
      press(80, 90, apart: 200)
      keep = lambda { |from, intended|
        send_json(:post, "/api/clients/#{@client}/kept", "stream" => @stream, "button" => EDGE, "from_us" => from,
                                                         "to_us" => from + 90_000,
                                                         "intended" => intended)
      }
      gestures = keep[0, "tap"]["id"]
      keep[280_000, "tap"]
      clicks = keep[280_000, "click"]
      assert_equal [%w[click], ["click"]], [clicks["offered"], clicks["trials"].map { |one| one["intended"] }]
      left = ask("/api/sittings/#{gestures}")
      assert_equal [%w[tap], ["tap"]], [left["offered"], left["trials"].map { |one| one["intended"] }]
    end

    # They are not fitted together; whatever somebody says it was, it is not lost.
    def test_gestures_and_clicks_are_kept_apart
      press(80, 90, 100, apart: 200)
      keep = lambda { |from, intended|
        send_json(:post, "/api/clients/#{@client}/kept", "stream" => @stream, "button" => EDGE, "from_us" => from,
                                                         "to_us" => from + 120_000,
                                                         "intended" => intended)
      }
      sittings = [[0, "tap"], [280_000, "click"], [570_000, "long_press"]].map { |from, intended| keep[from, intended] }
      assert_equal([%w[tap], %w[click], %w[tap long_press]], sittings.map { |one| one["offered"] })
      assert_equal([1, 1, 2], sittings.map { |one| one["counted"] })
      file = ask("/api/clients/#{@client}/trials", "button" => EDGE, "sittings" => sittings[1]["id"])
      assert_equal(%w[click], file["trials"].map { |one| one["intended"] })
    end
  end
end
