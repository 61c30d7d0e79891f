# frozen_string_literal: true

require_relative "helper"

module Kippen
  # The button one confirms with goes elsewhere: confirmed by the new one, or taken back.
  class ConfirmingTest < ServerTest
    MOUSE = JSON.parse(File.read(File.join(Server::ROOT, "demo", "ottoline.fitting.json")))
    SWAP = { "kind" => "arrange", "arrangement" => "left-handed-mouse", "device" => "mouse" }.freeze

    def setup
      super
      add_client(MOUSE)
    end

    def swap(**more) = send_json(:post, "/api/clients/#{@client}/revisions", { "parent" => 1, "change" => SWAP }.merge(more.transform_keys(&:to_s)))

    def desk = ask("/api/clients/#{@client}")

    def pending = desk["confirm"]

    def confirm(body) = send_json(:post, "/api/clients/#{@client}/confirmations", body)

    def swapped? = ask("/api/clients/#{@client}/fitting")["assignments"].any? { |item| item["button"] == "mouse/left" }

    def run_out = DATABASE[:confirmations].update(until: Time.now - 1)

    def test_the_other_button_confirms
      swap(confirm_s: 60)
      assert_equal [2, ["Mouse, Right button"], ["Mouse, Left button"], ["mouse right"]],
                   [pending["revision"], *%w[buttons lost].map { |which| pending[which].map { |one| one["name"] } }, pending["heard_as"]]
      assert_includes 50_000..60_000, pending["left_ms"]
      confirm("source" => "pointer:0")
      assert_equal({ "state" => "waiting", "words" => "That was Left button." }, answer)
      confirm("source" => "key:F8")
      assert_equal "Heard key F8: that is none of these.", answer["words"]
      confirm("source" => "pointer:2")
      assert_equal "confirmed", answer["state"]
      assert_equal [nil, true, 60], [pending, swapped?, desk["confirm_s"]]
      run_out
      assert swapped?
      confirm("source" => "pointer:2")
      assert_equal "nothing", answer["state"]
    end

    def test_what_is_bound_to_it_confirms_and_another_clients_listener_does_not
      swap
      other, own = [MOUSE, nil].map do |fitting|
        client = fitting ? send_json(:post, "/api/clients", fitting)["id"] : @client
        listener = send_json(:post, "/api/clients/#{client}/listeners", "name" => "Here")["id"]
        send_json(:put, "/api/listeners/#{listener}/bindings", "bindings" => [{ "heard" => "key:F8", "button" => "mouse/right" }])
        listener
      end
      confirm("source" => "key:F8", "listener" => other)
      assert_equal "waiting", answer["state"]
      confirm("source" => "key:F8", "listener" => own)
      assert_equal "confirmed", answer["state"]
    end

    def test_a_press_on_the_bench_confirms
      swap
      listener = send_json(:post, "/api/clients/#{@client}/listeners", "name" => "Here")["id"]
      stream = send_json(:post, "/api/listeners/#{listener}/streams", {})["id"]
      press = lambda do |number, button|
        message = { "number" => number, "t_us" => 0, "source" => button, "kind" => "down" }
        send_json(:post, "/api/streams/#{stream}/messages", "messages" => [message])
      end
      press.call(1, "mouse/left")
      refute_nil pending
      press.call(2, "mouse/right")
      assert_equal 200, status, answer
      assert_nil pending
    end

    def test_a_press_confirms_as_a_joined_device_and_a_stand_in_hand_send_it
      listener = send_json(:post, "/api/clients/#{@client}/listeners", "name" => "Here")["id"]
      raw = send_json(:post, "/api/listeners/#{listener}/streams", { "raw" => true })["id"]
      swap
      send_json(:post, "/api/streams/#{raw}/messages", "messages" => [{ "number" => 1, "t_us" => 0, "source" => "pointer:2", "kind" => "down" }])
      assert_nil pending, answer
      send_json(:post, "/api/clients/#{@client}/steps", "step" => "undo", "parent" => 2)
      assert_equal(["mouse/left"], pending["buttons"].map { |one| one["ref"] })
      hand = ask("/api/clients/#{@client}/hands")["hands"].first["id"]
      send_json(:post, "/api/clients/#{@client}/hands/presses", "hand" => hand, "button" => "mouse/left", "script" => ["tap"], "seed" => 1)
      assert_equal 201, status, answer
      assert_nil pending
    end

    # Switched off is another way to lose it.
    def test_a_button_that_was_switched_off_is_on_again
      change({ "kind" => "assign", "button" => "mouse/back", "gesture" => "tap", "action" => { "kind" => "click", "button" => "left" } })
      change({ "kind" => "button", "button" => "mouse/left", "set" => { "off" => true } }, parent: 2)
      assert_equal([["mouse/left"], ["mouse/back"]], %w[lost buttons].map { |which| pending[which].map { |one| one["ref"] } })
      run_out
      assert_nil pending
      assert_equal 4, desk["revision"]["number"]
      buttons = ask("/api/clients/#{@client}/devices")["devices"].flat_map { |device| device["buttons"] }
      refute(buttons.find { |one| one["ref"] == "mouse/left" }["off"])
    end

    def test_not_confirmed_it_is_taken_back_and_what_others_did_since_stays
      swap
      change({ "kind" => "assign", "button" => "mouse/back", "gesture" => "tap", "action" => { "kind" => "help" } }, parent: 2)
      refute_nil pending, "another change meanwhile does not confirm it"
      run_out
      assert_equal [false, 4, "Kippen", "Revision 2 taken back: nobody confirmed it"],
                   [swapped?, *desk["revision"].values_at("number", "author", "note")]
      assert(ask("/api/clients/#{@client}/fitting")["assignments"].any? { |item| item["button"] == "mouse/back" })
      assert_nil pending
    end

    def test_it_is_taken_back_at_once_when_asked
      swap
      confirm("take_back" => true)
      assert_equal ["taken_back", false, 3, "A specialist"], [answer["state"], swapped?, *desk["revision"].values_at("number", "author")]
      confirm("take_back" => true)
      assert_equal "nothing", answer["state"]
    end

    def test_undo_leaves_nothing_to_confirm
      swap
      send_json(:post, "/api/clients/#{@client}/steps", "step" => "undo", "parent" => 2)
      assert_nil pending
      run_out
      assert_equal 3, desk["revision"]["number"]
    end

    def test_a_change_that_leaves_the_job_where_it_is_needs_no_confirming
      change({ "kind" => "assign", "button" => "mouse/left", "gesture" => "long_press", "action" => { "kind" => "help" } })
      assert_nil pending
      change({ "kind" => "take_out", "id" => "mouse" }, parent: 2)
      assert_nil pending
    end

    def test_how_long_one_has_is_within_bounds
      swap(confirm_s: 1)
      assert_problem 400
    end
  end
end
