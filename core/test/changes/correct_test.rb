# frozen_string_literal: true

require_relative "../kinds_data"

module Kippen
  # What is known of one button of one client's device is put right: it holds there and nowhere else, it travels with the
  # fitting, and what no longer fits is told.
  class CorrectTest < CoreTest
    include KindsData

    EDGE = "phone/edge"
    HELP = { "kind" => "help" }.freeze
    CLAIM = { "gesture" => "triple_tap", "by" => "the emergency call", "free_by" => "Settings, safety" }.freeze

    def phone
      @phone ||= made(add(bare("hosts" => [*HOSTS, { "id" => "p", "name" => "Phone", "system" => "phone" }]), "phone", host: "p"),
                      "assign", button: EDGE, gesture: "double_tap", action: HELP)
    end

    def correct(fitting, set, button = EDGE) = result(fitting, "correct", button:, set:)
    def known(fitting, ref = EDGE) = KINDS.button(fitting.device(ref.split("/").first), fitting.button(ref))
    def cautions(fitting, ref = EDGE) = Cautions.new(fitting, KNOWLEDGE).of(fitting.button(ref))
    def does(fitting, ref = EDGE) = [known(fitting, ref)["builtin"], fitting.button(ref).builtin]

    def test_what_it_does_by_itself
      fitting = correct(phone, "builtin" => { "tap" => "Opens the camera", "long_press" => "Calls for help" }).fitting
      assert_equal [{ "tap" => "Opens the camera", "long_press" => "Calls for help" }, "Opens the camera"], does(fitting)
      nothing = correct(fitting, "builtin" => {}).fitting
      assert_equal [{}, nil], does(nothing)
      back = correct(nothing, nil).fitting
      assert_equal [{ "tap" => "Wakes the screen" }, "Wakes the screen"], does(back)
      assert_nil back.button(EDGE).corrected
      assert_equal phone.document["devices"], back.document["devices"]
    end

    # What a file said of a button of no known kind is there again.
    def test_forgetting_brings_back_what_a_file_said
      fitting = bare("devices" => [{ "id" => "thing", "host" => "desk",
                                     "buttons" => [{ "id" => "key", "builtin" => "Rings the bell" }] }])
      said = correct(fitting, { "builtin" => { "tap" => "Opens the gate" } }, "thing/key").fitting
      assert_equal "Opens the gate", said.button("thing/key").builtin
      assert_equal "Rings the bell",
                   correct(said, { "held_back" => false }, "thing/key").fitting.document["devices"][0]["buttons"][0]["builtin"]
      assert_equal fitting.document, correct(said, nil, "thing/key").fitting.document
    end

    # The stand-in does what a button does by itself: no longer, where somebody said that it does something else.
    def test_an_action_it_had_by_itself_goes_with_the_words
      louder = "phone/volume-up"
      assert_equal "volume", known(phone, louder).dig("builtin_action", "kind")
      other = correct(phone, { "builtin" => { "tap" => "Next song" } }, louder).fitting
      refute known(other, louder).key?("builtin_action")
      same = correct(phone, { "builtin" => { "tap" => "Louder", "long_press" => "Much louder" } }, louder).fitting
      assert_equal "volume", known(same, louder).dig("builtin_action", "kind")
    end

    def test_what_no_longer_fits_is_switched_off_kept_and_told
      now = correct(phone, "gestures" => %w[tap long_press])
      assert_equal([["double_tap", true]], now.fitting.list("assignments").filter_map do |row|
        row.values_at("gesture", "off") if row["gesture"] == "double_tap"
      end)
      assert_equal(["Phone, Edge key, double-tap: switched off, and kept. Phone can’t carry a double-tap here."],
                   now.left_out.map { |words| words.tr("'", "’") })
      fixed = correct(phone, "is" => "fixed", "why" => "This model keeps it for the torch.")
      assert_includes fixed.left_out.join, "This model keeps it for the torch."
      found = faults { made(fixed.fitting, "assign", button: EDGE, gesture: "tap", action: HELP) }
      assert_equal([["/change/gesture", "This button can’t be given anything: This model keeps it for the torch."]],
                   found.map { |where, words| [where, words.tr("'", "’")] })
    end

    def test_a_fixed_button_is_freed
      power = "phone/power"
      refute_empty(faults { made(phone, "assign", button: power, gesture: "tap", action: HELP) })
      free = correct(phone, { "is" => "free", "why" => nil, "held_back" => true }, power).fitting
      assert_equal HELP, made(free, "assign", button: power, gesture: "tap", action: HELP).list("assignments").last["action"]
    end

    def test_a_claim_is_freed_taken_back_and_added
      claimed = ->(fitting) { cautions(fitting).select { |one| one.id == "claimed" }.map(&:gesture) }
      assert_equal %w[triple_tap], claimed[phone]
      freed = correct(phone, "claims" => [CLAIM.merge("freed" => true)]).fitting
      assert_empty claimed[freed]
      assert_equal([{ "by" => "Hollis", "at" => NOON }], known(freed)["claims"].map { |claim| claim["freed"] })
      back = correct(freed, "claims" => [CLAIM.merge("freed" => false)]).fitting
      assert_equal %w[triple_tap], claimed[back]
      more = correct(back, "claims" => [CLAIM, CLAIM.merge("gesture" => "long_press", "by" => "the torch")]).fitting
      assert_equal %w[triple_tap long_press], claimed[more]
    end

    def test_one_member_said_leaves_the_others_as_they_were
      fitting = correct(correct(phone, "held_back" => false).fitting, "gestures" => %w[tap double_tap]).fitting
      assert_equal [false, %w[tap double_tap], "free"], known(fitting).values_at("held_back", "gestures", "is")
      assert_equal %w[Hollis], [fitting.button(EDGE).corrected["by"]]
    end

    def test_a_found_button_says_what_it_does
      found = made(phone, "add_button", device: "phone",
                                        button: { "name" => "Side wheel", "kind" => "contact", "codes" => ["key:F20"] })
      ref = found.devices.last.buttons.last.ref
      assert_nil known(found, ref)
      said = correct(found, { "builtin" => { "tap" => "Home" }, "held_back" => false }, ref).fitting
      assert_equal [{ "tap" => "Home" }, "Home"], does(said, ref)
      assert_includes cautions(said, ref).map(&:id), "not_held_back"
      assert_equal %w[key:F20], Kinds::Sources.new(said, KINDS).of(said.button(ref)).keys
      unheard = said.list("devices").map { |item| item.merge("buttons" => item["buttons"].map { |one| one.except("codes") }) }
      unheard = amended(said, "devices" => unheard)
      assert_empty Kinds::Sources.new(unheard, KINDS).of(unheard.button(ref))
    end

    def test_a_device_of_no_known_kind_can_be_put_right_too
      fitting = bare("devices" => [{ "id" => "thing", "host" => "desk", "buttons" => [{ "id" => "key" }] }])
      fitting = made(fitting, "assign", button: "thing/key", gesture: "long_press", action: HELP)
      now = correct(fitting, { "gestures" => %w[tap] }, "thing/key")
      assert_equal %w[tap], KINDS.gestures(now.fitting, now.fitting.button("thing/key"))
      assert_includes now.left_out.join, "switched off, and kept"
    end

    # Another device of the kind, and what the kind says, stay as they are.
    def test_it_holds_of_this_device_alone_and_travels_with_the_file
      two = add(phone, "phone", host: "p")
      fitting = correct(two, "gestures" => %w[tap]).fitting
      assert_equal([%w[tap], nil], [EDGE, "phone-2/edge"].map { |ref| known(fitting, ref)["gestures"] })
      again = Fitting.read(JSON.parse(JSON.generate(fitting.document)))
      assert_equal known(fitting), known(again)
      assert_nil KINDS.find("phone").button("edge")["gestures"]
    end

    def test_what_is_said_wrong_is_refused_whole
      { { "is" => "fixed" } => "/why", { "gestures" => %w[wave] } => "/gestures", { "gestures" => [] } => "/gestures",
        { "builtin" => { "tap" => "" } } => "/builtin/tap", { "claims" => [CLAIM.except("by")] } => "/claims/0/by",
        { "claims" => [CLAIM] * 11 } => "/claims" }.each do |set, where|
        assert_equal ["/devices/0/buttons/0/corrected#{where}"], faults { correct(phone, set) }.map(&:first), set.inspect
      end
    end

    def test_a_wheel_can_do_no_more_than_a_step
      mouse = add(bare, "mouse-five", host: "desk")
      wheel = mouse.devices.first.buttons.find { |one| one.kind == "notch" }.ref
      assert_match(%r{/gestures\z}, faults { correct(mouse, { "gestures" => %w[tap double_tap] }, wheel) }.first.first)
    end

    def test_history_says_that_it_was_put_right_and_that_it_is_as_it_was
      fitting = correct(phone, "builtin" => { "tap" => "Opens the camera" }).fitting
      assert_equal ["Phone, Edge key: what is known of it was put right."],
                   Changes::Differences.new(phone, fitting, KNOWLEDGE).words
      assert_equal ["Phone, Edge key: what is known of it is what its kind says."],
                   Changes::Differences.new(fitting, phone, KNOWLEDGE).words
    end
  end
end
