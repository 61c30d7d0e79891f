# frozen_string_literal: true

require_relative "helper"

module Kippen
  class ClientsTest < ServerTest
    def test_a_client_comes_in_with_a_fitting_file_and_goes_out_as_one
      desk = add_client.then { answer }

      assert_equal ["Bram Oduya-Lisle", "left thumb · lets go slowly"], desk.values_at("name", "about")
      assert_equal [1, nil, "Taken in"], desk["revision"].values_at("number", "parent", "note")
      assert_equal(["Edge key", "Volume up", "Volume down"],
                   desk["hosts"][0]["devices"][0]["buttons"].map { |button| button["name"] })
      assert_equal DEMO, ask("/api/clients/#{@client}/fitting")
    end

    def test_the_list_tells_the_newest_revision
      add_client
      assign("long_press", ANSWER)

      row = ask("/api/clients")["clients"].find { |client| client["id"] == @client }
      assert_equal ["Bram Oduya-Lisle", 2], row.values_at("name", "revision")
    end

    def test_a_bad_fitting_is_refused_with_every_fault
      send_json(:post, "/api/clients", DEMO.merge("follow" => "nose", "timing" => { "tap_gap_ms" => 20 }))

      assert_problem 422, ["/timing/tap_gap_ms", "is 20, must be 50 to 3000 ms"],
                     ["/follow", 'is "nose", must be one of pointer, focus']
      assert_equal 0, DATABASE[:clients].where { created_at > Sequel.lit("now() - interval '1 hour'") }.count
    end

    def test_a_key_that_stands_twice_is_refused
      send_json(:post, "/api/clients", '{"kippen": "fitting/1", "follow": "pointer", "follow": "focus"}')
      assert_problem 422, ["file", 'key "follow" stands twice in one object']
    end

    def test_five_megabytes_of_junk_are_one_clear_error
      send_json(:post, "/api/clients", "x" * 5_000_000)

      assert_problem 413
      assert_equal "A request may have 2000000 bytes; nothing was changed.", answer["detail"]
    end

    def test_deep_nesting_and_broken_text_are_one_clear_error
      add_client
      ["{\"change\":#{"[" * 5000}#{"]" * 5000}}", "{\"change\":\"\xFF\"}", "[]", "null", ""].each do |body|
        send_json(:post, "/api/clients/#{@client}/previews", body)
        assert_problem 400
      end
      send_json(:post, "/api/clients", "{\"kippen\":\"fitting/1\",\"note\":#{"[" * 60}#{"]" * 60}}")
      assert_problem 422, ["file", "is nested deeper than 40 levels"]
    end

    def test_unknown_things_are_not_found
      ["/api/clients/#{"0" * 36}", "/api/clients/nobody/lanes", "/api/listeners/x", "/api/nothing"].each do |path|
        ask(path)
        assert_problem 404
      end
    end

    def test_an_unknown_place_or_mode_is_not_found
      add_client
      ask("/api/clients/#{@client}/lanes", place: "nowhere")
      assert_problem 404
      assert_equal 'no place "nowhere"', answer["detail"]
    end

    def test_a_page_elsewhere_can_not_reach_in
      header "Host", "elsewhere.example"
      get "/api/clients"
      assert_equal 403, status

      header "Host", "localhost"
      header "Origin", "http://elsewhere.example"
      post "/api/clients", JSON.generate(DEMO), "CONTENT_TYPE" => "application/json"
      assert_equal 403, status
    end

    def test_lanes_tell_what_can_not_happen
      add_client(DEMO.merge("timing" => { "bounce_guard_ms" => 300, "bounce_guard_from" => "release" }))
      assign("double_tap", MARK)

      assert_equal([{ "id" => "impossible", "bad" => "serious",
                      "what" => "A double-tap can't happen: bounce guard 300 ms, tap gap 300 ms.",
                      "where" => { "button" => EDGE, "gesture" => "double_tap" }, "fixes" => [] }],
                   ask("/api/clients/#{@client}/lanes")["lanes"][0]["limits"])
    end

    # Counted from the release a shorter wait is no gain: what it costs is that it comes with the release.
    def test_what_a_gesture_costs_with_a_brush_guard
      add_client(DEMO.merge("timing" => { "brush_guard_ms" => 40, "gap_bridge_ms" => 20 }))
      empties = ask("/api/clients/#{@client}/lanes")["lanes"][0]["empties"]
      assert_equal([["long_press", ["tap acts when let go"]], ["double_tap", ["tap +260 ms"]]],
                   empties.map { |empty| empty.values_at("gesture", "costs") })
    end

    # What a device can be set to is told with its boundaries; what nothing can be put on has none that matter.
    def test_the_head_of_a_device_has_what_its_buttons_share
      add_client(JSON.parse(File.read(File.join(Server::ROOT, "demo", "ottoline.fitting.json"))))
      answer = ask("/api/clients/#{@client}/lanes")
      mouse, remote = answer["heads"].map do |head|
        head["boundaries"].to_h { |one| [one["setting"], one.values_at("value_ms", "own")] }
      end
      assert_equal({ "long_press_ms" => [500, false], "tap_gap_ms" => [450, false], "bounce_guard_ms" => [150, false] }, mouse)
      assert_equal mouse, remote
      lanes = answer["lanes"].to_h { |lane| [lane["button"]["ref"], lane] }
      assert_equal([true, false, false], %w[mouse/left mouse/wheel-up remote/power].map { |ref| lanes[ref]["timed"] })
      assert_equal(["Mouse, Left button", "Remote, Power"],
                   %w[mouse/left remote/power].map { |ref| lanes[ref]["button"]["full_name"] })
      settable = Server::KINDS.find("remote").carries("television")["settable"]["long_press_ms"]
      told = answer["heads"][1]["boundaries"].find { |one| one["setting"] == "long_press_ms" }
      assert_equal settable["values"].minmax, told.values_at("from_ms", "to_ms")
    end

    # A preview shows the lanes where they are looked at.
    def test_a_devices_time_is_looked_at_in_its_place
      fitting = JSON.parse(File.read(File.join(Server::ROOT, "demo", "ottoline.fitting.json")))
      rookery = { "id" => "in-rookery", "app" => "rookery", "name" => "in Rookery" }
      add_client(fitting.merge("places" => [rookery],
                               "assignments" => [{ "button" => "mouse/back", "gesture" => "tap", "place" => "in-rookery",
                                                   "action" => { "kind" => "volume", "direction" => "up" } }]))
      look = { "kind" => "device_timing", "device" => "mouse", "place" => "in-rookery", "setting" => "long_press_ms",
               "value" => 700 }
      send_json(:post, "/api/clients/#{@client}/previews", "opened_on" => 1, "change" => look)
      lane = answer["buttons"].map { |one| one["lane"] }.find { |one| one["button"]["ref"] == "mouse/back" }
      assert_equal(["Louder"], lane["chips"].map { |chip| chip["name"] })
      assert_equal([700, false], lane["boundaries"].first.values_at("value_ms", "own"))
    end

    def test_lanes_come_computed
      add_client
      lane = ask("/api/clients/#{@client}/lanes")["lanes"][0]

      assert_equal([["builtin", "Wake the screen", "now", true]],
                   lane["chips"].map { |chip| chip.values_at("gesture", "name", "wait", "kept") })
      assert_equal([["long_press", ["tap acts when let go"]], ["double_tap", ["tap +300 ms"]]],
                   lane["empties"].map { |empty| empty.values_at("gesture", "costs") })
      assert_equal([["long_press_ms", 500, 100, 5000], ["tap_gap_ms", 300, 50, 3000]],
                   lane["boundaries"].map { |boundary| boundary.values_at("setting", "value_ms", "from_ms", "to_ms") })
    end

    # How bad a wrong press is, is the client's to say.
    def test_what_a_want_says_of_a_wrong_press_goes_before_what_is_said_in_general
      add_client
      harm = -> { ask("/api/clients/#{@client}/actions")["actions"].find { |one| one["id"] == "help-ask" }["harm"] }
      general = harm.call
      want = { "what" => "Ring the bell", "wrong" => "nothing", "importance" => "must", "action" => { "kind" => "help" } }
      change({ "kind" => "want", "want" => want })
      change({ "kind" => "want", "want" => want.merge("what" => "Fetch somebody", "wrong" => "dangerous") }, parent: 2)
      assert_equal ["dangerous", "So the want “Fetch somebody” says. #{general["words"]}"], harm.call.values_at("cost", "words")
    end
  end
end
