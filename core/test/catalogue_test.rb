# frozen_string_literal: true

require_relative "kinds_data"

module Kippen
  # The action catalogue: whole, and right about itself.
  class CatalogueTest < CoreTest
    include KindsData

    ENTRIES = CATALOGUE.entries
    COSTS = Fitting::WantsReader::WRONG
    SEVERAL = [{ "action" => { "kind" => "volume", "direction" => "up" } },
               { "action" => { "kind" => "help" }, "pause_ms" => 500 }].freeze

    # An action of an entry with everything that is asked answered.
    def answered(entry)
      answers = { "text" => "Wenna", "keys" => %w[Control F6], "app" => "rookery", "time" => "07:30", "steps" => SEVERAL }
      entry.action.merge(entry.asks.to_h { |ask| [ask.member, ask.usual || answers.fetch(ask.type)] })
    end

    def test_every_entry_is_whole_and_once
      assert_operator ENTRIES.size, :>=, 120
      assert_equal ENTRIES.map(&:id), ENTRIES.map(&:id).uniq
      assert_equal ENTRIES.map(&:name), ENTRIES.map(&:name).uniq
      ENTRIES.each do |entry|
        assert_match Fitting::Ids::SPOT, entry.id
        assert [entry.name, entry.words, entry.harm["words"]].all? { |words| words.strip.size > 1 }, entry.id
        assert_includes COSTS, entry.harm["cost"], entry.id
        assert_empty entry.hosts - Fitting::ListReader::SYSTEMS, entry.id
        assert_empty entry.locked - entry.hosts, "#{entry.id}: locked where it does not exist"
        assert CATALOGUE.find(entry.facts["undone_by"]), entry.id if entry.facts["undone_by"]
      end
    end

    def test_an_answered_action_is_its_own_entry_and_stands_in_a_fitting
      ENTRIES.each do |entry|
        action = answered(entry)
        assert_equal entry.id, CATALOGUE.entry(action).id
        assert_empty entry.faults(action), entry.id
        refute_match(/[{}]/, "#{entry.name_of(action)} #{entry.effect_of(action)}")
        fitting("assignments" => [assignment("hold").merge("action" => action)])
      end
    end

    def test_names_with_what_was_answered
      {
        { "kind" => "app", "app" => "hearthcall", "command" => "answer" } => "Answer the call",
        { "kind" => "call", "do" => "call", "contact" => "Wenna" } => "Call Wenna",
        { "kind" => "keys", "keys" => %w[Control KeyC] } => "Copy",
        { "kind" => "keys", "keys" => %w[Control Alt F7] } => "Ctrl + Alt + F7",
        { "kind" => "modifier", "key" => "Shift", "how" => "latch" } => "Shift for the next press",
        { "kind" => "open", "app" => "tidebook" } => "Open Tidebook",
        { "kind" => "scroll", "direction" => "down" } => "Scroll down",
        { "kind" => "scroll", "direction" => "down", "by" => "lines", "lines" => 5 } => "Scroll 5 lines down",
        { "kind" => "hum", "tune" => "reel" } => "hum reel",
        { "kind" => "builtin" } => "What it does by itself"
      }.each { |action, name| assert_equal name, CATALOGUE.name(action) }
      assert_equal "Wake the screen", CATALOGUE.name(nil, "Wake the screen")
      assert_equal "It rings at Wenna.", CATALOGUE.effect({ "kind" => "call", "do" => "call", "contact" => "Wenna" })
    end

    def test_what_is_answered_wrong_is_told
      {
        { "kind" => "call", "do" => "call",
          "contact" => " " } => [["/change/action/contact", "must be text of 1 to 80 characters"]],
        { "kind" => "move", "direction" => "up", "step_px" => 0, "faster" => "wildly" } =>
          [["/change/action/step_px", "is 0, must be a whole number from 1 to 400"],
           ["/change/action/faster", 'is "wildly", must be one of no, slowly, quickly']],
        { "kind" => "day", "do" => "alarm",
          "time" => "25:00" } => [["/change/action/time", 'is "25:00", must be a time such as 07:30']],
        { "kind" => "open", "app" => "The Warbler" } => [["/change/action/app",
                                                          'is "The Warbler", must be 1 to 64 of a-z 0-9 - _ .']],
        { "kind" => "keys", "keys" => %w[KeyA KeyB] } =>
          [["/change/action/keys", "has 2 keys beside Ctrl, Alt, Shift and the system key, at most one is possible"]],
        { "kind" => "keys", "keys" => "KeyA" } => [["/change/action/keys",
                                                    'must be keys in W3C terms, each once, such as ["Control", "KeyC"]']]
      }.each { |action, expected| assert_equal(expected, faults { CATALOGUE.check(action, "/change/action") }) }
      assert_nil CATALOGUE.check({ "kind" => "hum", "tune" => "reel" }, "/change/action")
    end

    def test_what_lasts_as_long_as_held_needs_a_hold
      only = ->(action) { CATALOGUE.entry(action).only(action) }
      assert_equal ["hold"], only.call("kind" => "modifier", "key" => "Shift", "how" => "held")
      assert_nil only.call("kind" => "modifier", "key" => "Shift", "how" => "lock")
      assert_equal ["hold"], only.call("kind" => "click", "button" => "left", "how" => "held")
      assert_nil only.call("kind" => "volume", "direction" => "up")
    end

    def test_a_combination_is_told
      found = COMBINATIONS.find(%w[KeyC Control])
      assert_equal [%w[Control KeyC], "Ctrl + C", "copy", [], nil],
                   [found.keys, found.label, found.command.id, found.apps, found.kept]
      page = COMBINATIONS.find(%w[Control PageDown])
      assert_equal ["Ctrl + Page down", nil, ["rookery/next-page"], "browser"],
                   [page.label, page.command, page.apps.map(&:id), page.kept["by"]]
      assert_equal "system", COMBINATIONS.find(%w[Delete Alt Control]).kept["by"]
      assert_equal "Alt + F4", COMBINATIONS.find(%w[F4 Alt]).label
      assert_raises(Invalid) { COMBINATIONS.find(%w[KeyA KeyB]) }
    end

    def test_every_key_of_the_data_is_in_the_code_tables_and_in_order
      keys = COMBINATIONS.all + ENTRIES.filter_map { |entry| entry.action["keys"] }
      keys.each do |combination|
        assert_equal Catalogue::Combination.sorted(combination), combination
        (combination - Catalogue::Combination::MODIFIERS).each { |key| assert CODES.describe("key:#{key}").known, key }
      end
    end

    def test_another_format_is_refused
      assert_equal([["/kippen", "must be actions/1"]], faults { Catalogue.read(['{"kippen":"actions/9"}']) })
    end
  end
end
