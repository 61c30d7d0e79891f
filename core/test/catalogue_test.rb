# frozen_string_literal: true

require_relative "helper"

module Kippen
  class CatalogueTest < CoreTest
    TEXT = File.read(File.join(__dir__, "..", "data", "actions.json"))
    CATALOGUE = Catalogue.read(TEXT)

    def test_every_entry_is_whole_and_once
      entries = CATALOGUE.entries
      assert_equal entries.size, entries.map(&:id).uniq.size
      assert_equal entries.size, entries.map(&:action).uniq.size
      entries.each do |entry|
        assert_match Fitting::Ids::PATTERN, entry.id
        assert [entry.name, entry.effect, entry.words].all? { |words| words.strip.size > 1 }, entry.id
      end
    end

    def test_every_action_can_stand_in_a_fitting
      CATALOGUE.entries.each { |entry| fitting("assignments" => [assignment("tap").merge("action" => entry.action)]) }
    end

    def test_names
      assert_equal ["Answer the call", "Wake the screen", "Built-in", "scroll down"],
                   [CATALOGUE.name({ "kind" => "app", "app" => "hearthcall", "command" => "answer" }), CATALOGUE.name(nil, "Wake the screen"),
                    CATALOGUE.name({ "kind" => "builtin" }), CATALOGUE.name({ "kind" => "scroll", "direction" => "down" })]
    end

    def test_another_format_is_refused
      assert_equal([["/kippen", "must be actions/1"]], faults { Catalogue.read('{"kippen":"actions/9"}') })
    end
  end
end
