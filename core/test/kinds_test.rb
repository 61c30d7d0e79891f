# frozen_string_literal: true

require_relative "kinds_data"

module Kippen
  # The data of device kinds: whole, and right about each other.
  class KindsTest < CoreTest
    include KindsData

    NEEDED = %w[computer-itself direction-pad drawing-tablet gamepad grip head-switch hub keyboard mouse-five pen phone
                phone-itself phone-keys
                remote ring sip-puff stick switch switch-box tablet tablet-itself touchpad twin].freeze

    def test_every_kind_is_there
      assert_equal NEEDED, KINDS.all.map(&:id).sort
    end

    def test_what_the_data_refer_to_is_there
      KINDS.all.each do |kind|
        ids = kind.data["buttons"].map { |button| button["id"] }
        assert_equal ids.uniq, ids, kind.id
        kind.data["buttons"].each do |button|
          assert_includes ids, button["mirror"], "#{kind.id}/#{button["id"]}" if button["mirror"]
          assert_equal button["id"], kind.button(button["mirror"])["mirror"], "#{kind.id}/#{button["id"]}" if button["mirror"]
          assert_includes button["signals"], button["counts"], "#{kind.id}/#{button["id"]}"
        end
        kind.variants.each { |variant| assert_empty variant["buttons"] - ids, kind.id }
        steps = kind.steps.flat_map { |step| step.values_at("id", "one_of") }
        kind.steps.each { |step| assert_empty step["needs"] - steps, "#{kind.id}: #{step["id"]}" }
        kind.steps.filter_map { |step| step.dig("check", "held", "button") }.each do |button|
          assert_includes ids, button, kind.id
        end
        assert_empty [*kind.data["sits_on"], *kind.takes].reject { |id| KINDS.find(id) }, kind.id
      end
    end

    def test_what_is_said_to_be_settable_is_legal
      KINDS.all.each do |kind|
        kind.data["hosts"].each do |system, carries|
          assert_includes Fitting::ListReader::SYSTEMS, system
          assert_empty carries["gestures"] - Fitting::GESTURES
          carries["settable"].each do |name, allowed|
            values = allowed["values"] || [allowed["fixed"], allowed["from"], allowed["to"]].compact
            values.each do |value|
              assert_nil Fitting::Timing.fault(Fitting::Timing::SETTINGS.fetch(name), value), "#{kind.id} #{system} #{name}"
            end
          end
        end
      end
    end

    def test_every_source_that_a_browser_hears_is_in_the_code_tables
      KINDS.all.each do |kind|
        sources = kind.data["buttons"].flat_map do |button|
          button["heard"]["browser"] + button["heard"].fetch("after", {}).values.flatten
        end
        (sources + kind.seats.flat_map { |seat| seat.fetch("browser", []) }).each do |source|
          assert CODES.describe(source).known, "#{kind.id}: #{source}" unless source.match?(/:(axis|level):/)
        end
      end
    end

    def test_a_fitting_can_have_one_of_every_kind_on_each_of_its_hosts
      KINDS.all.each do |kind|
        kind.systems.each do |system|
          fitting = bare("hosts" => [{ "id" => "h", "system" => system }])
          made = add(fitting, kind.id)
          assert_equal kind.buttons.map { |button| button["id"] }, made.devices.last.buttons.map(&:id)
        end
      end
    end

    def test_a_kind_that_is_none
      assert_equal([["/kippen", "must be kind/1"]], faults { Kinds.read(['{"kippen": "kind/2"}']) })
    end

    def test_a_source_is_told_with_its_codes
      back = CODES.describe("pointer:3")
      assert_equal ["mouse back", true], [back.name, back.known]
      assert_equal({ "W3C" => "Pointer Events button 3", "Linux" => "BTN_SIDE 0x113", "USB HID" => "page 0x9, usage 0x4" },
                   back.codes)
      assert_equal "key F6", CODES.describe("key:F6").name
      assert_equal "gamepad 2 start", CODES.describe("gamepad:1:button:9").name
      assert_match(/The system keeps it/, CODES.describe("key:PrintScreen").kept)
    end

    def test_an_unknown_number_is_kept_as_it_is
      strange = CODES.describe("pointer:11")
      assert_equal [false, "mouse button 11", { "W3C" => "Pointer Events button 11" }],
                   [strange.known, strange.name, strange.codes]
      assert_equal "key Launch9", CODES.describe("key:Launch9").name
      assert_equal "gamepad 1, button 23", CODES.describe("gamepad:0:button:23").name
    end
  end
end
