# frozen_string_literal: true

require_relative "../check/checking"

module Kippen
  # What is on a device as a list that a person sets, one value after the other.
  class ByHandTest < CoreTest
    include Checking

    def list(fitting, id = MOUSE, **more)
      Handover::ByHand.new(Handover::Carried.new(fitting, fitting.device(id), KNOWLEDGE), KNOWLEDGE, **more).items
    end

    def given
      @given ||= begin
        moded = made(desk, "mode", mode: { "name" => "Reading" })
        taking = { "kind" => "mode", "mode" => moded.modes[0].id, "how" => "lock" }
        made(assign(moded, LEFT, "long_press", taking), "timing", button: RIGHT, setting: "long_press_ms", value: 800)
      end
    end

    def test_help_comes_first_then_what_others_speak_of
      assert_equal ["Mouse with five buttons, Right button, long-press", "A mode"], list(given).map(&:what).first(2)
      assert_equal ["Ask for help", "Reading"], list(given).map(&:value).first(2)
      assert_match(/\AOn the computer: /, list(given)[0].where)
    end

    # What nothing assigned there uses is not asked of anybody.
    def test_only_values_that_are_used
      told = list(given).select { |one| one.key.end_with?("_ms") }.map { |one| [one.what, one.value] }
      assert_equal [["Mouse with five buttons, Left button: Long-press", "500 ms"],
                    ["Mouse with five buttons, Right button: Long-press", "800 ms"]], told
      assert_equal "Hold it a little shorter than 800 ms: the long-press does not come. Hold it longer: it does.",
                   list(given).last.see
    end

    # Another value is another thing to set; all else stays as it was ticked.
    def test_a_mark_is_of_the_value_alone
      before = list(given).to_h { |one| [one.key, one.mark] }
      slower = made(given, "timing", button: RIGHT, setting: "long_press_ms", value: 900)
      after = list(slower).to_h { |one| [one.key, one.mark] }
      assert_equal(["#{RIGHT} long_press_ms"], before.keys.reject { |key| before[key] == after[key] })
      assert_equal before.keys, after.keys
    end

    def test_how_it_is_undone
      assert_equal "Take it off there: then it does nothing.", list(given)[0].undo
      tapped = list(assign(desk, LEFT, "tap", LOUDER)).find { |one| one.value == "Louder" }
      assert_match(/\ATake it off there: then it does what it did by itself/, tapped.undo)
      assert_equal "Set it back to 700 ms.", list(given, was: { "#{RIGHT} long_press_ms" => "700 ms" }).last.undo
      assert_equal "Before changing it, note what it says; set that again.", list(given).last.undo
    end

    # Every sort of host and of setting has its words.
    def test_every_host_and_setting_has_its_words
      Fitting::ListReader::SYSTEMS.each do |system|
        %w[keys timing].each { |what| assert Words.said?(:"hand_where_#{system}_#{what}"), "#{system} #{what}" }
      end
      full = made(made(given, "timing", button: LEFT, setting: "bounce_guard_ms", value: 60), "timing",
                  button: LEFT, setting: "gap_bridge_ms", value: 30)
      full = assign(made(full, "timing", button: LEFT, setting: "brush_guard_ms", value: 40), LEFT, "double_tap", LOUDER)
      items = list(full)
      assert_equal items.map(&:key).uniq, items.map(&:key)
      items.each { |one| one.plain.each_value { |words| refute_empty words } }
    end
  end
end
