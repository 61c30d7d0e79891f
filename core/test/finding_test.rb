# frozen_string_literal: true

require_relative "helper"

module Kippen
  # The one shape of what is found, and of what would mend it.
  class FindingTest < CoreTest
    def finding(**more) = Finding.new(id: "never", bad: "look", what: "It can never happen.", **more)

    def test_it_names_only_what_it_is_about
      assert_equal({ "id" => "never", "bad" => "look", "what" => "It can never happen.", "where" => { "button" => "mouse/left" },
                     "fixes" => [] },
                   finding(where: { "button" => "mouse/left", "gesture" => nil }).plain)
    end

    def test_a_fix_is_a_change_as_it_is_sent
      change = { "kind" => "clear", "button" => "mouse/left", "gesture" => "tap" }
      told = finding(fixes: [Fix.new("Clear it", change)]).plain["fixes"]
      assert_equal [{ "words" => "Clear it", "change" => change }], told
      assert_kind_of Changes::Change, Changes.read(told.first["change"])
    end

    def test_it_can_not_be_changed
      assert_raises(FrozenError) { finding.where["button"] = "mouse/right" }
      assert_equal [true, false], [finding(bad: "bars").bars?, finding.bars?]
    end
  end
end
