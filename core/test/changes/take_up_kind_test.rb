# frozen_string_literal: true

require_relative "../kinds_data"

module Kippen
  # Another edition of a kind: its devices become what it says, what people said of them stays, nothing is lost.
  class TakeUpKindTest < CoreTest
    include KindsData

    PAD = JSON.parse(File.read(File.join(DATA, "kinds", "touchpad.json")))
      .merge("id" => "reed-pad", "name" => "Reed pad", "edition" => 1).freeze
    HELP = { "kind" => "help" }.freeze

    def setup
      @before = made(made(bare, "kind", document: PAD), "add_device", of: "reed-pad", host: "desk")
      @ids = @before.devices.first.buttons.map(&:id)
    end

    # The second edition, its buttons as the block makes them.
    def second(**members, &)
      buttons = PAD["buttons"].map { |button| JSON.parse(JSON.generate(button)) }
      PAD.merge("edition" => 2, "buttons" => block_given? ? yield(buttons) : buttons).merge(members.transform_keys(&:to_s))
    end

    def take_up(document, fitting = @before) = result(fitting, "take_up_kind", document:)
    def assign(ref, gesture, fitting = @before) = made(fitting, "assign", button: "reed-pad/#{ref}", gesture:, action: HELP)
    def button(fitting, id) = fitting.button("reed-pad/#{id}")

    def test_what_the_kind_says_is_brought_along_and_what_people_said_stays
      named = made(@before, "button", button: "reed-pad/left", set: { "name" => "Wenna’s own" })
      named = made(named, "correct", button: "reed-pad/right", set: { "held_back" => false })
      other = second do |all|
        all.each { |one| one.merge!("name" => "#{one["name"]} (new)", "builtin" => { "tap" => "Whistle" }) }
      end
      taken = take_up(other, named)
      now = taken.fitting
      assert_equal ["Wenna’s own", "Right half pressed (new)", "Whistle"],
                   [button(now, "left").name, button(now, "right").name, button(now, "left").builtin]
      assert_equal [false, 2], [button(now, "right").corrected["held_back"], KINDS.of(now.devices.first).edition]
      assert_equal ["One of this client’s devices follows it from now on: Reed pad."], taken.notes
      assert_includes taken.words, "Kind of device: Reed pad, edition 2."
    end

    def test_a_button_that_is_gone_is_put_aside_with_all_there_was_and_comes_back
      fitting = assign("three", "long_press")
      taken = take_up(second { |buttons| buttons.reject { |one| one["id"] == "three" } }, fitting)
      assert_nil button(taken.fitting, "three")
      assert_match(/has it no longer.*can be brought back/, taken.left_out.join)
      back = made(taken.fitting, "bring_back", id: "reed-pad/three")
      assert_equal HELP, back.assignments.find { |one| one.button == "reed-pad/three" && one.gesture == "long_press" }.action
    end

    def test_a_new_button_is_there_and_one_taken_out_stays_out
      out = made(@before, "take_out", id: "reed-pad/three")
      new = PAD["buttons"][0].merge("id" => "edge", "name" => "Edge").except("mirror", "role")
      now = take_up(second { |buttons| [*buttons, new] }, out).fitting
      assert_equal [*(@ids - ["three"]), "edge"], now.devices.first.buttons.map(&:id)
    end

    def test_what_no_longer_fits_is_switched_off_and_kept
      fitting = assign("right", "double_tap", assign("left", "long_press"))
      fixed = second do |buttons|
        buttons.each { |one| one.merge!("is" => "fixed", "why" => "It is glued.") if one["id"] == "right" }
      end
      taken = take_up(fixed, fitting)
      off = taken.fitting.assignments.select(&:off).map { |one| [one.button, one.gesture] }
      assert_includes off, ["reed-pad/right", "double_tap"]
      refute_includes off.map(&:first), "reed-pad/left"
      assert_match(/It is glued/, taken.left_out.join)
    end

    def test_a_value_that_can_not_be_set_moves_and_a_host_that_is_gone_refuses
      fitting = made(@before, "device_timing", device: "reed-pad", setting: "long_press_ms", value: 700)
      hosts = JSON.parse(JSON.generate(PAD["hosts"]))
      hosts["computer"]["settable"]["long_press_ms"] = { "values" => [400, 500] }
      assert_equal(500_000, take_up(second(hosts:), fitting).fitting.then { |now| now.timing(button(now, "left")).long_press_us })
      refused = faults { take_up(second(hosts: hosts.except("computer"))) }
      assert_equal ["/change/document/hosts"], refused.map(&:first)
    end

    # A box with one socket less: what sat in it stays, on nothing; what was off before for another reason stays as it was.
    def test_what_sat_in_a_place_that_is_gone_stays_on_nothing
      box = JSON.parse(JSON.generate(KINDS.find("switch-box").data))
        .merge("id" => "reed-box", "name" => "Reed box", "edition" => 1)
      carrier = made(made(bare, "kind", document: box), "add_device", of: "reed-box", host: "desk")
      fitting = add(carrier, "switch", host: "desk", on: { "device" => "reed-box", "place" => box["seats"].last["id"] })
      fitting = add(fitting, "switch", host: "desk", on: { "device" => "reed-box", "place" => box["seats"].first["id"] })
      taken = take_up(box.merge("edition" => 2, "seats" => box["seats"][0..-2]), fitting)
      assert_equal([nil, box["seats"].first["id"]], taken.fitting.devices.last(2).map { |device| device.seat&.place })
      assert_match(/its place on Reed box is gone/, taken.left_out.join)
    end

    # What could not be there before, and is all the same (from a file), is nobody's doing now.
    def test_what_could_not_be_there_before_is_left_alone
      light = { "button" => "reed-pad/left", "gesture" => "tap", "action" => { "kind" => "system", "do" => "light-on" } }
      fitting = amended(@before, "assignments" => [light])
      refute_empty Cautions.new(fitting, KNOWLEDGE.of(fitting)).reasons(fitting.buttons.first, fitting.list("assignments").first)
      refute take_up(second, fitting).fitting.assignments.first.off
    end

    def test_what_changes_nothing_or_is_not_there_is_refused
      assert_equal ["/change/document"], faults { take_up(PAD) }.map(&:first)
      assert_equal ["/change/document"], faults { take_up(PAD.merge("id" => "other")) }.map(&:first)
      assert_equal ["/change/document/edition"], faults { take_up(PAD.merge("edition" => 0)) }.map(&:first)
    end

    # In the same change, what is known of the kind is known at once.
    def test_a_kind_and_what_is_put_on_it_in_one_go
      sent = [["kind", { "document" => second do |buttons|
        buttons.each do |one|
          one["gestures"] = ["tap"]
        end
      end }], ["add_device", { "of" => "reed-pad", "host" => "desk" }],
              ["assign", { "button" => "reed-pad/left", "gesture" => "hold", "action" => HELP }]]
      changes = sent.map { |kind, given| Changes.read({ "kind" => kind }.merge(given)) }
      assert_raises(Invalid) { Changes.make(bare, changes, knowledge: KNOWLEDGE, by: "Hollis", at: NOON) }
    end
  end
end
