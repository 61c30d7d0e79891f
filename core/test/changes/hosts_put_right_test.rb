# frozen_string_literal: true

require_relative "../kinds_data"

module Kippen
  # What is known of one host is put right: how much it shows and does, what it keeps for itself.
  class HostsPutRightTest < CoreTest
    include KindsData

    LOUDER = { "kind" => "volume", "direction" => "up" }.freeze
    OK = "television-remote/ok"

    def several(count)
      { "kind" => "steps", "steps" => [{ "action" => LOUDER }, *[{ "action" => LOUDER, "pause_ms" => 500 }] * (count - 1)] }
    end

    def fitting = @fitting ||= add(bare, "remote", host: "tv")

    def put_right(said, fitting = self.fitting)
      result(fitting, "host", host: { "id" => "tv", "name" => "Television", "system" => "television", "corrected" => said })
    end

    def assign(fitting, count) = made(fitting, "assign", button: OK, gesture: "long_press", action: several(count))
    def kind(fitting) = KNOWLEDGE.host_kinds.at(fitting.host("tv"))

    def test_more_or_less_than_others_of_its_sort
      more = put_right("lines" => 9, "steps" => 6).fitting
      assert_equal [9, 6, 500], [kind(more).most, kind(more).steps.most, kind(more).steps.from_ms]
      assert_equal [5, 4], KNOWLEDGE.host_kinds.of("television").then { |one| [one.most, one.steps.most] }, "no other changes"
      assert_equal %w[Hollis], [more.host("tv").corrected["by"]]
      assert assign(more, 6)
      assert_raises(Invalid) { assign(fitting, 6) }
      assert_nil put_right(nil, more).fitting.host("tv").corrected
    end

    def test_what_no_longer_fits_is_switched_off_and_told
      list = { "id" => "often", "name" => "Often", "host" => "tv", "items" => [{ "action" => LOUDER }] * 4 }
      less = put_right({ "lines" => 3, "steps" => 2 }, made(assign(fitting, 3), "shortlist", shortlist: list.except("id")))
      assert less.fitting.assignments.find { |one| one.gesture == "long_press" }.off
      assert_match(/at most 2 steps/, less.left_out.join)
      assert_match(/Often: Television shows 3 lines; from the 4 on/, less.left_out.join)
      assert_equal 4, less.fitting.shortlists.first.items.size
    end

    def test_what_it_keeps_is_told_of_the_combination
      kept = put_right("keeps" => [{ "keys" => %w[Alt Control KeyB], "why" => "it wakes the reader" }]).fitting
      found = KNOWLEDGE.combinations.of(kept).find(%w[Control Alt KeyB])
      assert_equal ["Television keeps it: it wakes the reader", "system"], found.kept.values_at("why", "by")
      assert_nil KNOWLEDGE.combinations.of(fitting).find(%w[Control Alt KeyB]).kept
    end

    def test_what_is_wrong_is_told_where_it_stands
      { { "lines" => 0 } => "lines", { "steps" => 9 } => "steps",
        { "keeps" => [{ "keys" => [], "why" => "x" }] } => "keeps/0/keys",
        { "keeps" => [{ "keys" => %w[KeyA], "why" => " " }] } => "keeps/0/why",
        { "keeps" => 7 } => "keeps" }.each do |said, where|
        refused = faults { put_right(said) }
        assert_equal ["/hosts/1/corrected/#{where}"], refused.map(&:first), said.inspect
      end
    end

    # Who changes something else of it says nothing anew.
    def test_who_said_so_stays_with_it
      once = put_right("lines" => 9).fitting
      change = Changes.read({ "kind" => "host",
                              "host" => { "id" => "tv", "name" => "Set", "system" => "television",
                                          "corrected" => once.host("tv").corrected } })
      again = Changes.make(once, change, knowledge: KNOWLEDGE, by: "Wenna", at: "2026-11-26T12:00:00Z").fitting
      assert_equal once.host("tv").corrected, again.host("tv").corrected
    end
  end
end
