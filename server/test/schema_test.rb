# frozen_string_literal: true

require_relative "helper"
require "json_schemer"

module Kippen
  # The published JSON Schema of fitting/1 and the core agree.
  class SchemaTest < Minitest::Test
    SCHEMA = JSONSchemer.schema(JSON.parse(File.read(File.join(Server::ROOT, "docs", "fitting.schema.json"))))
    DEMO = ServerTest::DEMO
    CASES = Dir[File.join(Server::ROOT, "core", "test", "press", "cases", "*.json")].flat_map do |file|
      JSON.parse(File.read(file))
    end

    def with(members) = DEMO.merge(members)

    def core_takes?(document)
      Fitting.read(document)
      true
    rescue Invalid
      false
    end

    def test_it_is_a_valid_schema
      assert JSONSchemer.draft202012.valid?(SCHEMA.value)
    end

    def test_what_the_core_takes_the_schema_takes
      fittings = CASES.map { |item| { "kippen" => "fitting/1" }.merge(item["fitting"]) }
      assert_operator fittings.size, :>, 50
      demo = Dir[File.join(Server::ROOT, "demo", "*.json")].map { |file| JSON.parse(File.read(file)) }
      assert_equal 4, demo.size
      [DEMO, *demo, *fittings].each { |document| assert_empty(SCHEMA.validate(document).map { |error| error["error"] }) }
    end

    # Changes that make the demo invalid by its shape alone.
    WRONG = [
      { "kippen" => "fitting/2" }, { "confirm_s" => 4 }, { "hosts" => [{ "id" => "h", "settings" => { "a" => [1] } }] },
      { "devices" => [{ "id" => "d", "settings" => [] }] }, { "arrangements" => [{ "id" => "a", "name" => " " }] },
      { "arrangements" => [{ "id" => "a", "name" => "A", "parts" => [{ "gesture" => "tap", "action" => {} }] }] },
      { "follow" => "nose" }, { "hosts" => {} }, { "devices" => [{ "id" => "Big" }] },
      { "modes" => [{ "id" => "base" }] }, { "places" => [{ "id" => "p" }] }, { "timing" => { "long_press_ms" => 99 } },
      { "timing" => { "bounce_guard_from" => "above" } }, { "button_timing" => [] },
      { "assignments" => [{ "button" => "pocket-phone/edge" }] },
      { "assignments" => [{ "button" => "pocket-phone/edge", "gesture" => "wave", "action" => { "kind" => "help" } }] },
      { "assignments" => [{ "button" => "pocket-phone/edge", "gesture" => "tap",
                            "action" => { "kind" => "mode", "how" => "often" } }] },
      { "assignments" => [{ "button" => "pocket-phone/edge", "gesture" => "hold", "action" => { "kind" => "help" },
                            "repeat" => { "after_ms" => 1, "every_ms" => 50 } }] },
      { "hosts" => [{ "id" => "phone", "system" => "toaster" }] }, { "hosts" => [{ "id" => "phone", "double_click_ms" => 5 }] },
      { "devices" => [{ "id" => "d", "kind" => "A mouse" }] }, { "devices" => [{ "id" => "d", "on" => { "device" => "box" } }] },
      { "devices" => [{ "id" => "d", "ready" => { "pair" => true } }] },
      { "devices" => [{ "id" => "d", "buttons" => [{ "id" => "b", "codes" => [""] }] }] },
      *[7, { "is" => "maybe" }, { "is" => "fixed" }, { "held_back" => "no" }, { "builtin" => { "wave" => "x" } },
        { "builtin" => { "tap" => " " } },
        { "gestures" => [] }, { "gestures" => %w[tap tap] }, { "claims" => [{ "gesture" => "tap", "by" => "x" }] },
        { "claims" => 5 },
        { "claims" => [{ "gesture" => "tap", "by" => "x", "free_by" => "y", "freed" => true }] }].map do |said|
        { "devices" => [{ "id" => "d", "buttons" => [{ "id" => "b", "corrected" => said }] }] }
      end,
      { "wants" => [{ "id" => "w" }] }, { "wants" => [{ "id" => "w", "what" => "Read", "wrong" => "bad" }] },
      { "wants" => [{ "id" => "w", "what" => "Read", "times_a_day" => 1.5 }] }, { "links" => [{ "from" => "pocket-phone" }] },
      { "hands" => [{ "id" => "h" }] }, { "taken_out" => [{}] }
    ].freeze

    def test_what_the_schema_refuses_the_core_refuses
      WRONG.each do |members|
        refute SCHEMA.valid?(with(members)), members.inspect
        refute core_takes?(with(members)), members.inspect
      end
    end

    KIND = JSONSchemer.schema(JSON.parse(File.read(File.join(Server::ROOT, "docs", "device-kind.schema.json"))))

    def test_every_kind_of_device_keeps_its_schema
      files = Dir[File.join(Server::DATA, "kinds", "*.json")]
      assert_equal 23, files.size
      files.each { |file| assert_empty(KIND.validate(JSON.parse(File.read(file))).map { |error| error["error"] }, file) }
    end

    def test_the_schema_of_kinds_refuses_what_is_none
      mouse = JSON.parse(File.read(File.join(Server::DATA, "kinds", "mouse-five.json")))
      button = mouse["buttons"].first
      wrong = [mouse.except("ready"), mouse.merge("hosts" => { "toaster" => {} }),
               mouse.merge("buttons" => [button.except("why")]),
               mouse.merge("buttons" => [button.merge("kind" => "lever")]), mouse.merge("outline" => [{ "star" => [1] }])]
      wrong.each { |data| refute KIND.valid?(data), data.inspect.slice(0, 200) }
    end
  end
end
