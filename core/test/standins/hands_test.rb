# frozen_string_literal: true

require_relative "../kinds_data"

module Kippen
  # Hands that come with Kippen, what can be turned of them, and a client's own.
  class HandsTest < CoreTest
    include KindsData

    HANDS = KNOWLEDGE.hands
    OWN = { "id" => "steady", "name" => "Her own", "press_ms" => { "median" => 200 }, "long_ms" => { "median" => 900 },
            "apart_ms" => { "median" => 200 } }.freeze

    def hand(id) = HANDS.find(bare, id)

    # What a button with plain timing makes of taps, or of a thing asked for, twenty times.
    def gestures(id, asked, timing = {})
      events = Standins::Hand.new(hand(id), 11).play("contact", [asked] * 20)
      with = fitting("timing" => timing, "assignments" => %w[tap double_tap long_press].map { |gesture| assignment(gesture) })
      rows = events.map do |event|
        [event.time_us / 1000.0, event.kind == "told" ? "" : OK, event.kind == "told" ? "end" : event.kind, ""]
      end
      replay(with, *rows).filter_map { |row| row["gesture"] if row["phase"] == "fire" }
    end

    # Each is named by what it does: it does that where nothing is fitted, and its remedy helps.
    def test_each_does_what_its_name_says
      assert_equal(%w[slow-to-let-go tremor weak-hold brushing bouncing-switch slow-double tiring steady],
                   HANDS.all(bare).map { |one| one["id"] })
      assert_operator gestures("slow-to-let-go", "tap").count("long_press"), :>, 10
      assert_equal %w[tap] * 20, gestures("slow-to-let-go", "tap", "long_press_ms" => 1_500)
      assert_includes gestures("tremor", "tap"), "double_tap"
      assert_operator gestures("weak-hold", "long_press").size, :>, 20
      assert_equal %w[long_press] * 20, gestures("weak-hold", "long_press", "gap_bridge_ms" => 120)
      assert_operator gestures("brushing", "rest").size, :>, 5
      assert_empty gestures("brushing", "rest", "brush_guard_ms" => 150)
      assert_operator gestures("bouncing-switch", "tap").size + gestures("bouncing-switch", "tap").count("double_tap"), :>, 20
      assert_equal %w[tap] * 20, gestures("bouncing-switch", "tap", "bounce_guard_ms" => 60)
      assert_operator gestures("slow-double", "double_tap").count("tap"), :>, 20
      assert_equal %w[double_tap] * 20, gestures("slow-double", "double_tap", "tap_gap_ms" => 1_350)
      assert_equal([%w[tap], %w[double_tap], %w[long_press]],
                   %w[tap double_tap long_press].map { |asked| gestures("steady", asked).uniq })
      lengths = Standins::Hands.picture(hand("tiring").merge("slowing" => 0.2), 3).map do |one|
        one["touches"].first&.reduce(:-)&.abs
      end
      assert_operator lengths[2], :>, lengths[0]
    end

    def test_all_of_them_are_made_up_and_say_so
      assert_equal %w[invented], HANDS.all(bare).map { |one| one["source"] }.uniq
      assert_empty(HANDS.all(bare).reject { |one| one["says"].end_with?(".") && one["name"] })
    end

    def test_a_clients_own_come_first_and_hide_one_of_their_name
      with = bare("hands" => [OWN])
      assert_equal [["steady", "Her own"], 8], [HANDS.all(with).first.values_at("id", "name"), HANDS.all(with).size]
      assert_equal "Her own", HANDS.find(with, "steady")["name"]
    end

    def test_what_is_turned_is_turned_and_nothing_else
      Standins::Dials::ALL.each do |dial|
        turned = HANDS.find(bare, "steady", { dial.id => dial.to })
        values = Standins::Dials.new(turned).values
        assert_equal dial.to, values[dial.id], dial.id
        assert_equal Standins::Dials.new(hand("steady")).values.except(dial.id), values.except(dial.id), dial.id
        assert_empty bare("hands" => [turned]).hands.reject { |one| one == turned }, "it can stand in a fitting"
      end
    end

    def test_spread_is_that_of_all_lengths
      turned = HANDS.find(bare, "steady", { "spread" => 40 })
      assert_equal([0.4] * 3, %w[press_ms long_ms apart_ms].map { |name| turned.dig(name, "spread") })
    end

    def test_what_can_not_be_turned_so_is_told_with_its_place
      assert_equal([["/dials/press", "is 5, must be a number from 30 to 2000"], ["/dials/colour", "is not known here"]],
                   faults { HANDS.find(bare, "steady", { "press" => 5, "colour" => 1 }) })
      assert_equal([["/change/hand", 'no stand-in hand "nobody"']], faults { HANDS.find(bare, "nobody", at: "/change") })
    end

    def test_a_picture_shows_each_that_is_asked_from_its_beginning
      shown = Standins::Hands.picture(hand("steady"), 5)
      assert_equal(%w[tap tap tap double_tap long_press rest], shown.map { |one| one["asked"] })
      assert_equal([1, 1, 1, 2, 1, 0], shown.map { |one| one["touches"].size })
      assert_equal([0], shown.filter_map { |one| one["touches"].first&.first }.uniq)
      assert_equal shown, Standins::Hands.picture(hand("steady"), 5)
      refute_equal shown, Standins::Hands.picture(hand("steady"), 6)
    end

    def test_a_turned_hand_becomes_the_clients_own_and_changes_and_goes
      kept = made(bare, "keep_hand", hand: "tremor", name: "Otti’s tremor", dials: { "restrike" => 80 })
      own = kept.hands.first
      assert_equal ["own-ottis-tremor", "Otti’s tremor", 0.8], [own["id"], own["name"], own.dig("restrike", "chance")]
      refute own.key?("says"), "what it says of the made-up one may not be so any more"
      again = made(kept, "keep_hand", hand: own["id"], name: "Quieter", dials: { "restrike" => 10 })
      assert_equal([["own-ottis-tremor", "Quieter", 0.1]],
                   again.hands.map { |one| [one["id"], one["name"], one.dig("restrike", "chance")] })
      assert_empty made(again, "remove_hand", hand: own["id"]).hands
      assert_equal([["/change/hand", '"tremor" is none of this client\'s own stand-in hands']],
                   faults { made(bare, "remove_hand", hand: "tremor") })
    end
  end
end
