# frozen_string_literal: true

require_relative "helper"

module Kippen
  # Stand-in hosts: what presses do on their screens, what the client gets to know of it, and who may see it.
  class ScreensTest < ServerTest
    SUNNIVA = JSON.parse(File.read(File.join(Server::ROOT, "demo", "sunniva.fitting.json")))
    KNEE = "knee-switch/press"
    CHEEK = "cheek-switch/press"

    def setup
      super
      add_client(SUNNIVA)
      @listener = send_json(:post, "/api/clients/#{@client}/listeners", "name" => "Desk")["id"]
      @stream = send_json(:post, "/api/listeners/#{@listener}/streams", {})["id"]
      @number = 0
      @ms = 0
    end

    def screen = ask("/api/clients/#{@client}/screens")["screens"].first

    def by_hand(**asked)
      send_json(:post, "/api/clients/#{@client}/screens", { "host" => "computer" }.merge(asked.transform_keys(&:to_s)))
    end

    def send_rows(*rows)
      messages = rows.map do |at, source, kind, value|
        { "number" => @number += 1, "t_us" => at * 1000, "source" => source, "kind" => kind, "value" => value }.compact
      end
      send_json(:post, "/api/streams/#{@stream}/messages", "messages" => messages)
    end

    # Presses a button for so long, told the time long enough afterwards; all of it within what may be ahead of the clock.
    def press(button, for_ms = 50)
      send_rows([@ms, button, "down"], [@ms + for_ms, button, "up"], [@ms += for_ms + 100, "", "told"])
    end

    def at(where) = send_rows([@ms, "computer", "pointer_in", where])

    def test_an_apps_own_assignment_and_the_fallback_to_everywhere
      by_hand(do: "point", element: "app:rookery")
      at(screen["where"]["pointer"])
      press(KNEE, 710)
      press(CHEEK)
      assert_equal "Rookery has turned to the next page.", screen["said"]
      by_hand(do: "point", element: "app:tidebook")
      at(screen["where"]["pointer"])
      press(CHEEK)
      assert_equal "Scrolled a page down.", screen["said"]
    end

    def test_a_mode_that_is_on_is_shown_and_told_by_its_cues
      begun = press(KNEE, 710)
      assert_equal({ "name" => "Reading", "how" => "lock" }, screen["mode"])
      assert_equal([["long_press", %w[hear]], ["mode_begins", %w[hear see]]],
                   begun["cues"].map { |cue| cue.values_at("event", "ways") })
      over = press(KNEE, 710)
      assert_nil screen["mode"]
      assert_equal [["mode_ends", "Reading is over"]], over["cues"].map { |cue| cue.values_at("event", "words") }.last(1)
      assert_equal({ "from" => "21:00", "to" => "07:00" }, over["quiet"])
    end

    # Whether the key is down can't be seen: it is told each time.
    def test_a_key_that_stays_down_is_told_on_and_off
      send_json(:post, "/api/clients/#{@client}/revisions", "opened_on" => 1, "change" => {
                  "kind" => "assign", "button" => KNEE, "gesture" => "tap",
                  "action" => { "kind" => "modifier", "key" => "Shift", "how" => "lock" }
                })
      send_json(:post, "/api/clients/#{@client}/revisions", "opened_on" => 2,
                                                            "change" => { "kind" => "cues",
                                                                          "cues" => { "key_on" => %w[hear],
                                                                                      "key_off" => %w[see] } })
      assert_equal 201, status, answer
      told = Array.new(3) do
        press(KNEE)["cues"].map { |cue| cue.values_at("event", "words", "ways") }.select { |event, *| event.start_with?("key") }
      end
      on = [["key_on", "Shift stays down", %w[hear]]]
      assert_equal [on, [["key_off", "Shift is up again", %w[see]]], on], told
    end

    # Listening anew begins as usual: neither the mode nor a list that is stepped through is on any more.
    def test_another_stream_begins_as_usual_and_the_screen_says_so
      at("tidebook")
      press(CHEEK, 710)
      assert_equal %w[Log Log], [screen.dig("mode", "name"), screen.dig("list", "name")]
      @stream = send_json(:post, "/api/listeners/#{@listener}/streams", {})["id"]
      @number = @ms = 0
      press(KNEE)
      assert_equal [nil, nil, "Tidebook has begun a new line."], screen.values_at("mode", "list", "said")
    end

    def test_a_shortlist_is_stepped_through_with_one_button
      at("tidebook")
      press(CHEEK, 710)
      assert_equal [0, ["New log line", "Take it back", "Next page", "Ask for help", "Leave"]],
                   screen["list"].values_at("marked", "lines")
      3.times { press(CHEEK) }
      assert_equal 3, screen["list"]["marked"]
      press(CHEEK, 710)
      assert_equal [nil, "The call for help has gone out.", nil], screen.values_at("list", "said", "mode")
      press(CHEEK, 710)
      4.times { press(CHEEK) }
      press(CHEEK, 710)
      assert_equal [nil, "Log is closed, nothing of it was done."], screen.values_at("list", "said")
    end

    def test_a_region_counts_in_place_of_the_app_beneath_and_not_while_somebody_works_from_afar
      by_hand(do: "point", element: "region:screen-left-edge")
      assert_equal "screen/left-edge", screen["where"]["pointer"]
      by_hand(do: "afar", on: true)
      assert_equal "", screen["where"]["pointer"]
      by_hand(do: "afar", on: false)
      assert_equal "screen/left-edge", screen["where"]["pointer"]
    end

    def test_a_stand_in_hand_presses_where_the_client_is_and_a_mode_that_it_took_stays_on
      by_hand(do: "point", element: "app:rookery")
      hand = lambda { |button, wanted, seed|
        send_json(:post, "/api/clients/#{@client}/hands/presses", "hand" => "fist", "button" => button, "script" => [wanted],
                                                                  "seed" => seed)
      }
      hand[KNEE, "long_press", 1]
      assert_equal "Reading", screen.dig("mode", "name")
      hand[CHEEK, "tap", 2]
      assert_equal "Rookery has turned to the next page.", screen["said"]
      by_hand(do: "point", element: "region:screen-left-edge")
      by_hand(do: "afar", on: true)
      assert_equal "", screen["where"]["pointer"]
      hand[CHEEK, "tap", 3]
      assert_equal "Scrolled a page down.", screen["said"], "nowhere is told too"
    end

    def test_what_happens_to_the_host_itself_does_what_it_was_given
      change({ "kind" => "add_device", "of" => "computer-itself", "host" => "computer" })
      assert_equal 201, status, answer
      plugged = "what-happens-to-the-computer/plugged-in"
      change({ "kind" => "assign", "button" => plugged, "gesture" => "tap",
               "action" => { "kind" => "open", "app" => "wrenbox" } }, parent: 2)
      assert_includes screen["happenings"], { "button" => plugged, "name" => "Plugged in" }
      assert_equal(["app:wrenbox", "Wrenbox is open."],
                   by_hand(do: "happen", button: plugged).then { |now| [now["elements"].first["key"], now["said"]] })
      by_hand(do: "happen", button: KNEE)
      assert_problem 422
      change({ "kind" => "assign", "button" => plugged, "gesture" => "long_press", "action" => { "kind" => "help" } }, parent: 3)
      assert_problem 422
    end

    def test_what_can_be_done_by_hand_and_what_cannot
      assert_equal "ringing", by_hand(do: "ring")["call"]
      assert_equal(["locked"], by_hand(do: "lock", on: true)["elements"].map { |one| one["key"] })
      assert_equal "none", by_hand(do: "anew")["call"]
      opened = by_hand(do: "point", element: "start:wrenbox")
      assert_equal "app:wrenbox", opened["elements"].first["key"]
      by_hand(do: "point", element: "app:gone")
      assert_problem 422, ["/element", "\"app:gone\" is not on the screen"]
      by_hand(host: "gone", do: "ring")
      assert_problem 422
      sign_in_as("viewer")
      by_hand(do: "ring")
      assert_problem 404
    end

    def test_what_a_fitting_asks_that_the_host_cant_carry_is_refused_in_words
      file = SUNNIVA.merge("hosts" => [{ "id" => "computer", "name" => "Phone", "system" => "phone" }],
                           "shortlists" => [SUNNIVA["shortlists"][0].merge("items" => SUNNIVA["shortlists"][0]["items"] * 2)])
      add_client(file)
      refuses = screen["refuses"].map { |one| one["what"] }
      assert_includes refuses, "Log: Phone shows 6 lines; from the 7 on they stay here and are not shown."
      assert_includes refuses, "Knee switch, tap: “New log line” does not exist on a phone"
      press_of = send_json(:post, "/api/clients/#{@client}/hands/presses", "hand" => "fist", "button" => KNEE,
                                                                           "script" => ["tap"], "seed" => 1)
      assert_equal 201, status, press_of
      assert_equal "“New log line” does not exist on Phone: nothing happened.", screen["said"]
    end

    def test_a_joined_device_reads_the_screen_of_its_own_host_alone
      code = send_json(:post, "/api/clients/#{@client}/joins", "host" => "computer")["code"]
      token = send_json(:post, "/api/joined", "code" => code, "name" => "Pocket")["token"]
      clear_cookies
      get("/api/joined/screen", {}, "HTTP_AUTHORIZATION" => "Bearer #{token}")
      assert_equal ["computer", 200, [], []], [answer["host"], status, *answer.values_at("refuses", "happenings")]
      get("/api/clients/#{@client}/screens", {}, "HTTP_AUTHORIZATION" => "Bearer #{token}")
      assert_includes [401, 403], status
      get("/api/joined/screen")
      assert_equal 401, status
    end
  end
end
