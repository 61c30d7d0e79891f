# frozen_string_literal: true

require_relative "helper"
require "json_schemer"

module Kippen
  # The published JSON Schema of fitting/1 and the core agree.
  class SchemaTest < Minitest::Test
    SCHEMA = JSONSchemer.schema(JSON.parse(File.read(File.join(Server::ROOT, "docs", "fitting.schema.json"))))
    DEMO = ServerTest::DEMO
    CASES = Dir[File.join(Server::ROOT, "core", "test", "press", "cases", "*.json")].flat_map { |file| JSON.parse(File.read(file)) }

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
      [DEMO, *fittings].each { |document| assert_empty(SCHEMA.validate(document).map { |error| error["error"] }) }
    end

    # Changes that make the demo invalid by its shape alone.
    WRONG = [
      { "kippen" => "fitting/2" }, { "follow" => "nose" }, { "hosts" => {} }, { "devices" => [{ "id" => "Big" }] },
      { "modes" => [{ "id" => "base" }] }, { "places" => [{ "id" => "p" }] }, { "timing" => { "long_press_ms" => 99 } },
      { "timing" => { "bounce_guard_from" => "above" } }, { "button_timing" => [] }, { "assignments" => [{ "button" => "pocket-phone/edge" }] },
      { "assignments" => [{ "button" => "pocket-phone/edge", "gesture" => "wave", "action" => { "kind" => "help" } }] },
      { "assignments" => [{ "button" => "pocket-phone/edge", "gesture" => "tap", "action" => { "kind" => "mode", "how" => "often" } }] },
      { "assignments" => [{ "button" => "pocket-phone/edge", "gesture" => "hold", "action" => { "kind" => "help" },
                            "repeat" => { "after_ms" => 1, "every_ms" => 50 } }] }
    ].freeze

    def test_what_the_schema_refuses_the_core_refuses
      WRONG.each do |members|
        refute SCHEMA.valid?(with(members)), members.inspect
        refute core_takes?(with(members)), members.inspect
      end
    end
  end
end
