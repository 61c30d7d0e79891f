# frozen_string_literal: true

require_relative "../kinds_data"

module Kippen
  # What somebody else changed in between: of the same it is a conflict, elsewhere it is kept.
  class ConflictTest < CoreTest
    include KindsData

    HELP = { "kind" => "help" }.freeze
    BACK = "mouse-with-five-buttons/back"
    FORWARD = "mouse-with-five-buttons/forward"

    def mouse = add(bare("places" => [{ "id" => "letters", "app" => "rookery" }]), "mouse-five", host: "desk")
    def change(kind, **given) = Changes.read({ "kind" => kind }.merge(given.transform_keys(&:to_s)))
    def assign(button, gesture, **more) = change("assign", button:, gesture:, action: HELP, **more)

    def device(set) = change("device", device: "mouse-with-five-buttons", set:)

    # Mine, thought of on the mouse as it was, after theirs.
    def both(theirs, mine, opened: mouse)
      newest = Changes.make(opened, theirs, knowledge: KNOWLEDGE, by: "Them", at: NOON).fitting
      Changes::Conflict.make(newest, [mine], opened:, others: [[opened, newest]], knowledge: KNOWLEDGE, by: "Me", at: NOON)
    end

    def conflict(theirs, mine, **more) = assert_raises(Changes::Conflict) { both(theirs, mine, **more) }

    def test_elsewhere_it_is_kept
      [[assign(BACK, "tap"), assign(FORWARD, "tap")], [assign(BACK, "tap"), assign(BACK, "tap", place: "letters")],
       [change("timing", button: BACK, setting: "long_press_ms", value: 700),
        change("timing", button: BACK, setting: "tap_gap_ms", value: 400)],
       [device("name" => "M"), device("posture" => "p")],
       [change("want", want: { "what" => "Read" }), change("client", name: "Una")]].each do |theirs, mine|
        result = both(theirs, mine)
        assert_equal 2, Changes::Addresses.changed(mouse.document, result.fitting.document).size, [theirs, mine].map(&:class)
      end
    end

    # One takes the whole device out, the other says something of one of its buttons, in either order: one lies within the other.
    def test_what_lies_within_what_the_other_changed_is_a_conflict
      inside = change("button", button: BACK, set: { "name" => "Thumb" })
      whole = change("take_out", id: "mouse-with-five-buttons")
      [[whole, inside], [inside, whole]].each do |theirs, mine|
        met = conflict(theirs, mine)
        assert_operator met.theirs.size, :>=, 1, [theirs, mine].map(&:class)
      end
    end

    def test_of_the_same_it_is_a_conflict_with_both_sides
      met = conflict(assign(BACK, "tap"), assign(BACK, "long_press"))
      assert_equal [["Mouse with five buttons, Back side button, long-press: Ask for help.",
                     "Mouse with five buttons, Back side button, tap: Page before."],
                    ["Mouse with five buttons, Back side button, tap: Ask for help."]], [met.mine, met.theirs]
      conflict(change("timing", button: BACK, setting: "long_press_ms", value: 700),
               change("timing", button: BACK, setting: "long_press_ms", value: 900))
      conflict(change("client", name: "A"), change("client", name: "B"))
    end

    def test_what_they_took_away_is_a_conflict_too
      met = conflict(change("take_out", id: "mouse-with-five-buttons"), assign(BACK, "tap"))
      assert_equal ["Device removed: Mouse with five buttons."], met.theirs
      opened = amended(mouse, "assignments" => [{ "button" => BACK, "gesture" => "long_press", "action" => HELP }])
      conflict(assign(BACK, "tap"), change("take_out", id: "mouse-with-five-buttons"), opened:)
    end

    def test_the_same_done_by_both_is_none
      assert_empty both(assign(BACK, "tap"), assign(BACK, "tap")).touched
    end

    def test_what_could_not_be_in_any_case_is_refused_as_ever
      assert_raises(Invalid) { both(assign(BACK, "tap"), assign("mouse-with-five-buttons/none", "tap")) }
    end
  end
end
