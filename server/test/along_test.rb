# frozen_string_literal: true

require_relative "helper"

module Kippen
  # What is sent when a time is taken hold of is what saving it would come to.
  class AlongTest < ServerTest
    def fitting(name) = JSON.parse(File.read(File.join(Server::ROOT, "demo", "#{name}.fitting.json")))

    def along(of, setting, to:, **spot) = ask("/api/clients/#{@client}/along?#{URI.encode_www_form(of:, setting:, to:, **spot)}")

    # The lane of a button as a look at a change shows it.
    def looked_at(change)
      send_json(:post, "/api/clients/#{@client}/previews", "opened_on" => 1, "change" => change)
      answer["buttons"].to_h { |one| [one["lane"]["button"]["ref"], one["lane"]] }
    end

    def assert_same_as_a_look(found, change)
      value = found["values_ms"].sample(random: Random.new(3))
      lanes = looked_at(change.merge("value" => value))
      found["lanes"].each do |group|
        state = group["states"][group["at"][found["values_ms"].index(value)]]
        group["buttons"].each { |ref| assert_moved(lanes.fetch(ref), state, "#{ref} at #{value} ms") }
      end
    end

    def assert_moved(lane, state, what)
      assert_equal lane.slice("regions", "boundaries", "limits", "tap_choice"),
                   state.slice("regions", "boundaries", "limits", "tap_choice"), what
      assert_equal lane["chips"].reject { |chip| chip["off"] }.to_h { |chip| chip.values_at("gesture", "wait") }, state["waits"],
                   what
      assert_equal lane["empties"].to_h { |empty| empty.values_at("gesture", "costs") }, state["costs"], what
    end

    def test_a_shared_time_of_each_device_of_the_demo
      %w[bram ottoline ignace sunniva].each do |name|
        add_client(fitting(name))
        # Each with one of them in turn.
        fitting(name)["devices"].map { |device| device["id"] }.zip(%w[long_press_ms tap_gap_ms
                                                                      bounce_guard_ms].cycle) do |device, setting|
          found = along(device, setting, to: 1500)
          assert_same_as_a_look(found, "kind" => "device_timing", "device" => device, "setting" => setting)
        end
      end
    end

    def test_a_time_of_a_buttons_own
      add_client(fitting("bram"))
      found = along("pocket-phone/edge", "long_press_ms", to: 5000)
      assert_equal [[400, 500, 700, 1000, 1500], [["pocket-phone/edge"]]],
                   [found["values_ms"], found["lanes"].map { |group| group["buttons"] }]
      assert_same_as_a_look(found, "kind" => "timing", "button" => "pocket-phone/edge", "setting" => "long_press_ms")
    end

    # A button with a time of its own does not move with the others.
    def test_a_button_with_a_time_of_its_own_stays
      add_client(fitting("ottoline").merge("button_timing" => { "mouse/back" => { "long_press_ms" => 900 } }))
      moving = along("mouse", "long_press_ms", to: 1000)["lanes"].flat_map { |group| group["buttons"] }
      assert_includes moving, "mouse/left"
      refute_includes moving, "mouse/back"
      assert_includes along("mouse", "tap_gap_ms", to: 1000)["lanes"].flat_map { |group| group["buttons"] }, "mouse/back"
    end

    def test_what_is_not_there
      add_client(fitting("bram"))
      along("nowhere", "long_press_ms", to: 500)
      assert_equal [404, "There is no such device, nor such a button"], [last_response.status, answer["detail"]]
      along("pocket-phone", "press_at", to: 500)
      assert_equal 400, last_response.status
    end
  end
end
