# frozen_string_literal: true

require_relative "helper"

module Kippen
  # Several steps by one press on a stand-in host: in order and in time, whoever looks, until their stop is pressed.
  class StepsTest < ServerTest
    SUNNIVA = JSON.parse(File.read(File.join(Server::ROOT, "demo", "sunniva.fitting.json")))
    KNEE = "knee-switch/press"
    CHEEK = "cheek-switch/press"
    LOUDER = { "kind" => "volume", "direction" => "up" }.freeze

    def setup
      super
      add_client(SUNNIVA)
      @noon = Time.now
      @stream = stream
      @sent = Hash.new(0)
    end

    def stream
      send_json(:post, "/api/listeners/#{send_json(:post, "/api/clients/#{@client}/listeners", "name" => "Desk")["id"]}/streams",
                {})["id"]
    end

    def put(stop:, pauses: [2000, 30_000])
      steps = [nil, *pauses].map { |ms| { "action" => LOUDER, "pause_ms" => ms }.compact }
      change({ "kind" => "assign", "button" => KNEE, "gesture" => "tap",
               "action" => { "kind" => "steps", "steps" => steps, "stop" => stop } })
      assert_equal 201, last_response.status, last_response.body
    end

    # Messages at so many ms after the beginning, which is also what the service's clock says.
    def heard(at_ms, *rows, stream: @stream)
      at(at_ms) do
        messages = rows.map do |source, kind|
          { "number" => @sent[stream] += 1, "t_us" => at_ms * 1000, "source" => source, "kind" => kind }
        end
        send_json(:post, "/api/streams/#{stream}/messages", "messages" => messages)
      end
    end

    def tap(button, at_ms, **where)
      heard(at_ms, [button, "down"], **where)
      heard(at_ms + 60, [button, "up"], **where)
      heard(at_ms + 1000, ["", "told"], **where)
    end

    def at(time_ms, &) = Time.stub(:now, @noon + (time_ms/1000r), &)
    def screen(at_ms) = at(at_ms) { ask("/api/clients/#{@client}/screens")["screens"].first }
    def sound(at_ms) = screen(at_ms)["facts"].grep(/\ASound/).first

    def test_each_step_is_done_when_it_is_due
      put(stop: "itself")
      tap(KNEE, 1000)
      began = screen(2000)
      assert_includes began["facts"].first, "Under way: 1 of 3"
      assert_operator began["due_in_ms"], :<=, 2000
      assert_equal(["Sound 6 of 10.", "Sound 7 of 10.", "Sound 8 of 10."], [2001, 5000, 40_000].map { |ms| sound(ms) })
      assert_nil screen(40_000)["due_in_ms"]
      assert_equal "Sound 7 of 10.", sound(5000), "looking changes nothing"
    end

    # As soon as the press is one, not when it is let go; what it would have done otherwise is not done.
    def test_the_press_of_the_stop_ends_them_from_another_listener_too
      put(stop: CHEEK)
      tap(KNEE, 1000)
      other = stream
      heard(6000, [CHEEK, "down"], stream: other)
      heard(6100, ["", "told"], stream: other)
      assert_match(/\ABroken off: 2 of 3 steps were done\./, screen(6101)["said"])
      heard(6110, [CHEEK, "up"], stream: other)
      heard(7500, ["", "told"], stream: other)
      assert_match(/\ABroken off/, screen(7501)["said"])
      assert_equal "Sound 7 of 10.", sound(90_000)
      tap(KNEE, 9000, stream: other)
      refute_match(/\ABroken off/, screen(11_000)["said"])
    end

    # A press without a filter is known in the instant in which it begins the steps: it is not their stop.
    def test_at_one_instant_the_press_comes_before_what_it_does
      press = Press::Stories::Press.new(KNEE, 5, 5)
      outcome = Press::Outcome.new(5, KNEE, 5, "base").coming_to("tap", "fire", Press::Outcome::From.new("everywhere", LOUDER))
      assert_equal [press, outcome], Server::Store::Screens::Events.new(decided: [outcome], presses: [press], now_us: 5).in_order
    end

    # The stop is a key of the remote, the steps go on at the computer.
    def test_a_stop_at_another_host
      add_client(JSON.parse(File.read(File.join(Server::ROOT, "demo", "ottoline.fitting.json"))))
      @stream = stream
      steps = [{ "action" => LOUDER }, { "action" => LOUDER, "pause_ms" => 30_000 }]
      change({ "kind" => "assign", "button" => "mouse/forward", "gesture" => "tap",
               "action" => { "kind" => "steps", "steps" => steps, "stop" => "remote/ok" } })
      tap("mouse/forward", 1000)
      heard(4000, ["remote/ok", "down"])
      computer = at(4010) { ask("/api/clients/#{@client}/screens")["screens"].find { |one| one["system"] == "computer" } }
      assert_match(/\ABroken off: 1 of 2/, computer["said"])
    end

    def test_what_the_client_has_is_asked_for_with_the_limits_of_each_host
      asks = ask("/api/clients/#{@client}/actions")["actions"].find { |one| one["id"] == "steps" }["asks"]
      assert_equal(%w[computer tablet phone television], asks[0]["hosts"].map { |one| one["system"] })
      assert_equal ["itself", KNEE, CHEEK], asks[1]["choices"].map { |one| one["value"] } & ["itself", KNEE, CHEEK]
      put(stop: CHEEK)
      chip = ask("/api/clients/#{@client}/lanes")["lanes"].flat_map { |lane| lane["chips"] }.find { |one| one["steps"] }
      assert_equal ["3 steps: Louder, Louder, Louder", ["Louder", "after 2 s Louder", "after 30 s Louder"]],
                   [chip["name"], chip["steps"]["told"]]
      assert_match(/Cheek/, chip["steps"]["stop"])
    end
  end
end
