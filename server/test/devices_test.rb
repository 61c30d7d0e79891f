# frozen_string_literal: true

require_relative "helper"

module Kippen
  # Hosts, devices, getting ready and sources over the contract.
  class DevicesTest < ServerTest
    SUNNIVA = JSON.parse(File.read(File.join(Server::ROOT, "demo", "sunniva.fitting.json")))

    def setup
      super
      add_client("kippen" => "fitting/1", "client" => { "name" => "Somebody" })
      @revision = 1
    end

    # Makes a change that must be taken.
    def made(change)
      change(change, parent: @revision)
      assert_equal 201, status, last_response.body
      @revision += 1
    end

    def devices = ask("/api/clients/#{@client}/devices")
    def device(id) = devices["devices"].find { |one| one["id"] == id }
    def step(device, id) = device(device)["steps"].find { |one| one["id"] == id }

    def with_remote
      made("kind" => "host", "host" => { "name" => "Television", "system" => "television" })
      made("kind" => "add_device", "of" => "remote", "host" => "television", "version" => "1.4")
    end

    def press(source, down_us, up_us, listener: nil, raw: false)
      listener ||= send_json(:post, "/api/clients/#{@client}/listeners", "name" => "Desk")["id"]
      stream = send_json(:post, "/api/listeners/#{listener}/streams", "raw" => raw)["id"]
      messages = [[1, down_us, "down"], [2, up_us, "up"]].map do |number, t_us, kind|
        { "number" => number, "t_us" => t_us, "source" => source, "kind" => kind }
      end
      send_json(:post, "/api/streams/#{stream}/messages", "messages" => messages)
    end

    def test_a_remote_from_nothing_to_ready
      with_remote
      assert_equal "open", step("television-remote", "pair")["state"]
      made("kind" => "ready", "device" => "television-remote", "step" => "pair", "done" => true)
      pair = step("television-remote", "pair")
      assert_equal ["done", "A specialist"], pair.values_at("state", "by")
      made("kind" => "ready", "device" => "television-remote", "step" => "permission", "done" => true)
      made("kind" => "device", "device" => "television-remote", "set" => { "version" => "2.0" })
      assert_equal %w[open 1.4], step("television-remote", "permission").values_at("state", "changed_from")
    end

    def test_kippen_sees_a_first_press_and_a_hold_by_itself
      with_remote
      assert_equal({ "wants" => 0, "steps" => 4, "devices" => 1, "serious" => 1, "look" => 1,
                     "differ" => 0 },
                   ask("/api/clients/#{@client}")["open"])
      press("key:AudioVolumeDown", 1_000_000, 5_000_001, raw: true)
      assert_equal(%w[seen seen], %w[pair first-press].map { |id| step("television-remote", id)["state"] })
      assert_equal 2, ask("/api/clients/#{@client}")["open"]["steps"]
      assert_equal 2, ask("/api/clients")["clients"][0]["open"]["steps"], "the caseload says the same"
    end

    # A key of the laptop that stands for a button is heard of it, but holding it does nothing to the remote itself.
    def test_what_stands_for_a_button_is_heard_of_it_and_holds_nothing
      [false, true].each do |raw|
        setup
        with_remote
        listener = send_json(:post, "/api/clients/#{@client}/listeners", "name" => "Desk")["id"]
        bind = lambda { |heard|
          send_json(:put, "/api/listeners/#{listener}/bindings",
                    "bindings" => [{ "heard" => heard, "button" => "television-remote/volume-down" }])
        }
        bind.call("key:KeyQ")
        assert_equal(%w[open open], %w[pair first-press].map { |id| step("television-remote", id)["state"] })
        press(raw ? "key:KeyQ" : "television-remote/volume-down", 0, 4_000_001, listener:, raw:)
        assert_equal(%w[open seen], %w[pair first-press].map { |id| step("television-remote", id)["state"] }, "raw: #{raw}")
        assert_equal 3, ask("/api/clients/#{@client}")["open"]["steps"], "the trail says the same"
        bind.call("key:AudioVolumeDown")
        assert_equal raw ? "open" : "seen", step("television-remote", "pair")["state"], "it can have been the remote's own key"
      end
    end

    def test_a_stand_in_hand_is_heard_of_nobody
      hand = { "id" => "h", "press_ms" => { "median" => 90 }, "long_ms" => { "median" => 6000 },
               "apart_ms" => { "median" => 200 } }
      add_client(ask("/api/clients/#{@client}/fitting").merge("hands" => [hand]))
      @revision = 1
      with_remote
      send_json(:post, "/api/clients/#{@client}/hands/presses", "hand" => "h", "button" => "television-remote/volume-down",
                                                                "script" => ["long_press"],
                                                                "seed" => 1)
      assert_equal 201, status, answer
      assert_equal(%w[open open], %w[pair first-press].map { |id| step("television-remote", id)["state"] })
    end

    def test_a_device_joined_for_one_host_speaks_for_its_buttons_alone
      with_remote
      made("kind" => "host", "host" => { "name" => "Pocket", "system" => "phone" })
      made("kind" => "add_device", "of" => "phone", "host" => "pocket")
      code = send_json(:post, "/api/clients/#{@client}/joins", "host" => "pocket")["code"]
      header "Authorization", "Bearer #{send_json(:post, "/api/joined", "code" => code, "name" => "Phone")["token"]}"
      stream = send_json(:post, "/api/joined/streams", {})["id"]
      %w[key:AudioVolumeUp key:Enter].each_with_index do |source, index|
        send_json(:post, "/api/joined/streams/#{stream}/messages",
                  "messages" => [{ "number" => index + 1, "t_us" => index * 1000, "source" => source, "kind" => "down" }])
      end
      heard = ask("/api/clients/#{@client}/bench")["streams"][0]["heard"].to_h { |one| one.values_at("source", "button") }
      assert_equal({ "key:AudioVolumeUp" => "phone/volume-up", "key:Enter" => nil }, heard)
    end

    def test_a_wheel_and_a_push_button_can_not_stand_for_each_other
      made("kind" => "host", "host" => { "name" => "Computer", "system" => "computer" })
      made("kind" => "add_device", "of" => "mouse-five", "name" => "Mouse")
      listener = send_json(:post, "/api/clients/#{@client}/listeners", "name" => "Desk")["id"]
      { %w[wheel:up mouse/left] => "wheel up can't stand for Left button: a step of a wheel has no length",
        %w[key:F8 mouse/wheel-up] => "key F8 can't stand for Wheel up: only a step of a wheel can",
        %w[gamepad:0:level:6
           mouse/left] => "gamepad left trigger can't stand for Left button: it is open or closed, and this is a level" }
        .each do |(heard, button), words|
        send_json(:put, "/api/listeners/#{listener}/bindings", "bindings" => [{ "heard" => heard, "button" => button }])
        assert_equal 422, status, words
        assert_match(/can't stand for/, answer["faults"][0]["message"])
        assert_equal words.split(": ").last, answer["faults"][0]["message"].split(": ").last
      end
      send_json(:put, "/api/listeners/#{listener}/bindings",
                "bindings" => [{ "heard" => "wheel:up", "button" => "mouse/wheel-up" }])
      assert_equal 200, status
    end

    def test_what_is_heard_raw_finds_its_button
      with_remote
      view = press("key:AudioVolumeUp", 0, 90_000, raw: true)
      assert_equal([["television-remote/volume-up", "Louder"]],
                   view["tiles"].map { |tile| [tile["button"], tile["results"][0]["action_name"]] })
      assert_equal [{ "source" => "key:AudioVolumeUp", "name" => "key louder", "down" => false,
                      "button" => "television-remote/volume-up" }], view["heard"]
      view = press("key:KeyQ", 0, 90_000, raw: true)
      assert_equal [[], [nil]], [view["tiles"], view["heard"].map { |heard| heard["button"] }]
    end

    def test_a_raw_source_follows_the_bindings_even_afterwards
      with_remote
      listener = send_json(:post, "/api/clients/#{@client}/listeners", "name" => "Desk")["id"]
      press("key:KeyQ", 0, 90_000, listener:, raw: true)
      send_json(:put, "/api/listeners/#{listener}/bindings",
                "bindings" => [{ "heard" => "key:KeyQ", "button" => "television-remote/ok" }])
      assert_equal(["television-remote/ok"],
                   ask("/api/clients/#{@client}/bench")["streams"][0]["tiles"].map { |tile| tile["button"] })
    end

    def test_what_is_no_source_is_refused
      press("<script>", 0, 1, raw: true)
      assert_problem 422, ["/messages/0", '"<script>" is no source that can be heard'],
                     ["/messages/1", '"<script>" is no source that can be heard']
    end

    def test_a_heard_source_is_told_with_codes_and_button
      with_remote
      heard = ask("/api/clients/#{@client}/heard", "source" => "key:Enter")
      assert_equal ["key Enter", true, "television-remote/ok", "kind"],
                   [heard["name"], heard["known"], heard["buttons"][0]["button"]["ref"], heard["buttons"][0]["how"]]
      assert_includes heard["codes"], { "system" => "Linux", "words" => "KEY_ENTER 0x1c" }
      assert_match(/The system keeps it/, ask("/api/clients/#{@client}/heard", "source" => "key:PrintScreen")["kept"])
    end

    def test_a_found_button_is_named_taken_out_and_brought_back
      with_remote
      made("kind" => "add_button", "device" => "television-remote",
           "button" => { "name" => "Star", "kind" => "contact", "codes" => ["key:F9"] })
      assert device("television-remote")["buttons"].last["added"]
      made("kind" => "take_out", "id" => "television-remote/star")
      assert_equal [{ "id" => "television-remote/star", "name" => "Star" }], devices["taken_out"]
      made("kind" => "bring_back", "id" => "television-remote/star")
      assert_equal "Star", device("television-remote")["buttons"].last["name"]
    end

    def test_the_data_of_a_kind_come_along
      with_remote
      power = device("television-remote")["buttons"].first
      assert_equal ["fixed", false, []], [power["is"], power["held_back"], power["heard"]["browser"]]
      assert_equal [{ "gesture" => "tap", "gesture_name" => "tap", "words" => "On or off" }], power["builtin"]
      carries = device("television-remote")["carries"]
      assert_equal ["tap, double-tap, long-press", 1, 300],
                   [carries["gestures"].join(", "), carries["modes"], carries["double_click_ms"]]
      assert_includes carries["settable"], { "setting" => "bounce_guard_ms", "words" => "0, 100, 200, 300 ms" }
    end

    def test_a_device_that_follows_is_changed_at_its_leader
      add_client(SUNNIVA)
      @revision = 1
      made("kind" => "copy", "from" => "grip-left", "to" => "grip-right", "mirror" => true, "lasting" => true)
      change({ "kind" => "assign", "button" => "grip-right/squeeze", "gesture" => "tap", "action" => MARK }, parent: @revision)
      assert_problem 422, ["/change/button", "this device follows Grip left: change it there, or cut the link first"]
      made("kind" => "assign", "button" => "grip-left/squeeze", "gesture" => "double_tap", "action" => MARK)
      gestures = ask("/api/clients/#{@client}/fitting")["assignments"].select { |item| item["button"] == "grip-right/squeeze" }
        .map do |item|
        item["gesture"]
      end
      assert_equal %w[tap long_press double_tap].sort, gestures.sort
      made("kind" => "cut", "device" => "grip-right")
      made("kind" => "assign", "button" => "grip-right/squeeze", "gesture" => "tap", "action" => MARK)
    end

    def test_a_stand_in_hand_presses_through_the_same_way
      add_client(SUNNIVA)
      press = { "hand" => "fist", "button" => "grip-left/squeeze", "script" => %w[long_press], "seed" => 5 }
      view = send_json(:post, "/api/clients/#{@client}/hands/presses", press)
      assert_equal 201, status, last_response.body
      assert_equal([["long_press", "Ask for help"]],
                   view["tiles"].map { |tile| tile["results"][0].values_at("gesture", "action_name") })
      assert_equal "Stand-in hand", view["listener"]
      again = send_json(:post, "/api/clients/#{@client}/hands/presses", press)
      lengths = ->(tile) { tile["touches"].map { |touch| touch["ended_us"] - touch["began_us"] } }
      assert_equal(*[view, again].map { |one| lengths[one["tiles"].first] }, "one seed, one hand")
      send_json(:post, "/api/clients/#{@client}/hands/presses", press.merge("hand" => "foot"))
      assert_problem 422, ["/hand", 'no stand-in hand "foot"']
    end
  end
end
