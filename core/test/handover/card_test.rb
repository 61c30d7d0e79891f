# frozen_string_literal: true

require_relative "../check/checking"

module Kippen
  # What stands on the card that is hung beside the client.
  class CardTest < CoreTest
    include Checking

    def rows(fitting, id = MOUSE) = Handover::Card.new(fitting, KNOWLEDGE).rows(fitting.device(id))

    def told(fitting, id = MOUSE)
      rows(fitting, id).map { |row| [row.name, row.does.map { |one| [one.name, one.action, one.where] }] }
    end

    def test_help_comes_first_and_what_a_button_does_by_itself_is_told
      first, second = told(desk)
      assert_equal ["Right button", [["long-press", "Ask for help", nil], ["tap", "Context menu", nil]]], first
      assert_equal ["Left button", [["tap", "Click", nil]]], second
      assert rows(desk)[0].does[0].help
      refute rows(desk)[0].does[1].help
    end

    # What is off does nothing; where it is another, that is said.
    def test_where_and_while_what
      moded = made(desk, "mode", mode: { "name" => "Reading" })
      placed = made(moded, "place", place: { "name" => "The log", "app" => "rookery" })
      given = assign(assign(placed, LEFT, "double_tap", LOUDER, place: placed.places[0].id), LEFT, "double_tap", NEXT,
                     mode: moded.modes[0].id)
      given = made(assign(given, LEFT, "long_press", LOUDER), "switch", button: LEFT, gesture: "long_press", off: true)
      left = told(given).assoc("Left button")[1]
      assert_equal [["double-tap", "Louder", "in The log"], ["double-tap", "Next page", "mode Reading"],
                    ["tap", "Click", "in The log"]],
                   left.select(&:last).sort
      refute(left.any? { |name,| name == "long-press" })
    end

    def test_a_device_that_is_off_or_empty
      assert_empty rows(made(desk, "device", device: MOUSE, set: { "off" => true }))
      box = add(desk, "switch-box", host: "desk")
      assert_empty rows(box, box.devices.last.id)
    end
  end
end
