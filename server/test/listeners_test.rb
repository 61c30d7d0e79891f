# frozen_string_literal: true

require_relative "helper"

module Kippen
  class ListenersTest < ServerTest
    def setup
      super
      add_client
      @listener = send_json(:post, "/api/clients/#{@client}/listeners", "name" => "Desk laptop")["id"]
    end

    def bind(*pairs)
      send_json(:put, "/api/listeners/#{@listener}/bindings",
                "bindings" => pairs.map { |heard, button| { "heard" => heard, "button" => button } })
    end

    def bindings = ask("/api/listeners/#{@listener}")["bindings"].map(&:values)

    def test_bindings_are_kept_and_put_in_place_of_those_before
      bind(["key:F6", EDGE], ["pointer:3", "pocket-phone/volume-up"])
      assert_equal [["key:F6", EDGE], ["pointer:3", "pocket-phone/volume-up"]], bindings

      bind(["key:F7", EDGE])
      assert_equal [["key:F7", EDGE]], bindings
    end

    def test_a_binding_to_an_unknown_button_changes_nothing
      bind(["key:F6", EDGE])
      bind(["key:F7", "pocket-phone/power"])

      assert_problem 422, ["/bindings/0/button", 'unknown button "pocket-phone/power"']
      assert_equal [["key:F6", EDGE]], bindings
    end

    # What only opens and closes stands for a button that gives force: full force, or none.
    def test_a_key_that_stands_for_a_force_button_is_full_force_and_none
      fitting = Fitting.read("kippen" => "fitting/1",
                             "devices" => [{ "id" => "grip", "buttons" => [{ "id" => "squeeze", "kind" => "force" }] }])
      reader = Server::Store::RawMessages.new(fitting, { "key:F6" => "grip/squeeze" })
      heard = ->(kind, value = "") { Press::Bench::Message.new(number: 1, time_us: 0, source: "key:F6", kind:, value:) }
      told = [heard.call("down"), heard.call("level", "0.3"), heard.call("up"), heard.call("notch")].map do |one|
        reader.resolve(one)&.to_a&.last(3)
      end
      assert_equal [["grip/squeeze", "level", "1"], ["grip/squeeze", "level", "0.3"], ["grip/squeeze", "level", "0"], nil], told
    end

    def test_a_listener_needs_a_client
      send_json(:post, "/api/clients/00000000-0000-4000-8000-000000000000/listeners", "name" => "Lost")
      assert_problem 404
    end
  end
end
