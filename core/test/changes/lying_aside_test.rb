# frozen_string_literal: true

require_relative "../kinds_data"

module Kippen
  # What was taken out lies aside: nothing new takes its id, and what is taken back is not said to stay.
  class LyingAsideTest < CoreTest
    include KindsData

    LINE = ->(text) { { "action" => { "kind" => "text", "text" => text } } }

    def desk = @desk ||= add(bare, "mouse-five", host: "desk")

    def listed(fitting, text, works: "open")
      made(fitting, "shortlist", shortlist: { "name" => "Often", "host" => "desk", "works" => works, "items" => [LINE[text]] })
    end

    def aside(fitting) = fitting.list("taken_out").map { |bundle| bundle["id"] }
    def lines(fitting) = fitting.shortlists.map { |list| [list.id, list.items.first.action["text"]] }

    def test_two_shortlists_of_one_name_can_both_be_brought_back
      first = made(listed(desk, "one"), "remove_shortlist", id: "often")
      second = made(listed(first, "two"), "remove_shortlist", id: "often-2")
      assert_equal %w[shortlist:often shortlist:often-2], aside(second)
      both = aside(second).reduce(second) { |fitting, id| made(fitting, "bring_back", id:) }
      assert_equal [[%w[often one], %w[often-2 two]], []], [lines(both), aside(both)]
    end

    # A shortlist that is stepped through lies aside with its mode.
    def test_a_new_mode_takes_the_id_of_none_that_lies_aside
      gone = made(listed(desk, "one", works: "step"), "remove_shortlist", id: "often")
      again = made(gone, "mode", mode: { "name" => "Often" })
      assert_equal %w[often-2], again.modes.map(&:id)
      back = made(again, "bring_back", id: "shortlist:often")
      assert_equal %w[often often-2], back.modes.map(&:id).sort
      gone = made(made(desk, "mode", mode: { "name" => "Reading" }), "remove_mode", id: "reading")
      assert_equal %w[reading-2], made(gone, "mode", mode: { "name" => "Reading" }).modes.map(&:id)
    end

    def test_a_new_place_takes_the_id_of_none_that_lies_aside
      place = { "app" => "rookery", "part" => "margin", "name" => "Letters" }
      gone = made(made(desk, "place", place:), "remove_place", id: "letters")
      other = made(gone, "place", place: place.merge("app" => "tidebook"))
      assert_equal %w[letters-2], other.places.map(&:id)
      assert_equal %w[letters letters-2], made(other, "bring_back", id: "place:letters").places.map(&:id).sort
    end

    # What was added and taken out since is in force no more: nothing of it stays.
    def test_what_lies_aside_is_not_told_to_stay
      added = listed(desk, "one")
      gone = made(added, "remove_shortlist", id: "often")
      back = Changes.make(gone, Changes::TakeBack.new(revisions: [[desk, added]]), knowledge: KNOWLEDGE, by: nil, at: nil)
      assert_equal [[], [], %w[shortlist:often]], [back.left_out, back.fitting.shortlists, aside(back.fitting)]
      # Changed since, it does stay.
      renamed = made(added, "shortlist", shortlist: { "id" => "often", "name" => "Daily" })
      kept = Changes.make(renamed, Changes::TakeBack.new(revisions: [[desk, added]]), knowledge: KNOWLEDGE, by: nil, at: nil)
      assert_equal [["Changed since, so it stays: Shortlist added: Often."], %w[Daily]],
                   [kept.left_out, kept.fitting.shortlists.map(&:name)]
    end

    # It may come from elsewhere, and be anything.
    def test_what_lies_aside_and_cannot_be_read_is_in_nobodys_way
      odd = [{ "id" => "x", "shortlist" => 7 }, { "id" => "y", "mode" => "z" }, { "id" => "z", "shortlist" => { "mode" => [] } }]
      assert_equal %w[reading], made(amended(desk, "taken_out" => odd), "mode", mode: { "name" => "Reading" }).modes.map(&:id)
    end
  end
end
