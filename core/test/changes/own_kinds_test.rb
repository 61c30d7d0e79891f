# frozen_string_literal: true

require_relative "../kinds_data"

module Kippen
  # Kinds of device that somebody made: kept in the fitting, used at once, gone with nothing that needs them.
  class OwnKindsTest < CoreTest
    include KindsData

    PAD = JSON.parse(File.read(File.join(DATA, "kinds", "touchpad.json"))).merge("id" => "reed-pad", "name" => "Reed pad").freeze

    def own = @own ||= made(bare, "kind", document: PAD)
    def ids(fitting) = fitting.list("kinds").map { |kind| kind["id"] }

    def test_a_kind_is_made_and_a_device_of_it_is_like_any_other
      fitting = made(own, "add_devices", devices: [{ "of" => "reed-pad" }])
      device = fitting.devices.first
      assert_equal ["Reed pad", "reed-pad", "desk"], [device.name, device.kind, device.host]
      assert_equal "Reed pad", KINDS.of(device).name
      assert_equal %w[pointer:0], Kinds::Sources.new(fitting, KINDS).of(device.buttons.first).keys
      fitting = made(fitting, "assign", button: "reed-pad/right", gesture: "long_press", action: { "kind" => "help" })
      assert_includes Cautions.new(fitting, KNOWLEDGE).of(fitting.button("reed-pad/left")).map(&:id), "needed"
      assert_equal({ "kind" => "click", "button" => "left" }, KINDS.button(device, device.buttons.first)["builtin_action"])
    end

    def test_it_and_a_device_of_it_come_in_one_go
      change = [["kind", { "document" => PAD }], ["add_device", { "of" => "reed-pad", "host" => "desk" }]]
      changes = change.map { |kind, given| Changes.read({ "kind" => kind }.merge(given)) }
      fitting = Changes.make(bare, changes, knowledge: KNOWLEDGE, by: "Hollis", at: NOON).fitting
      assert_equal %w[reed-pad], fitting.devices.map(&:kind)
      assert_equal(%w[Hollis], fitting.list("kinds").map { |kind| kind["by"] })
    end

    def test_the_file_of_the_client_has_it_and_opens_elsewhere
      fitting = made(own, "add_device", of: "reed-pad", host: "desk")
      again = Formats::FittingJson.read(JSON.generate(fitting.document))
      assert_equal "Reed pad", KINDS.of(again.devices.first).name
    end

    # A kind that ships is never changed, and another of one's own isn't either.
    def test_one_of_an_id_that_is_there_gets_its_own
      assert_equal %w[reed-pad], ids(made(own, "kind", document: PAD)), "the same again"
      other = made(own, "kind", document: PAD.merge("name" => "Reed pad, new"))
      assert_equal %w[reed-pad reed-pad-new], ids(other)
      shipped = made(bare, "kind", document: PAD.merge("id" => "touchpad", "name" => "Flat pad"))
      assert_equal %w[flat-pad], ids(shipped)
      sly = amended(add(bare, "touchpad", host: "desk"), "kinds" => [PAD.merge("id" => "touchpad")])
      assert_equal "Touchpad", KINDS.of(sly.devices.first).name
    end

    def test_one_in_use_stays_and_one_that_is_not_goes
      fitting = made(own, "add_device", of: "reed-pad", host: "desk")
      assert_equal([["/change/id", "is the kind of Reed pad: take that out first"]],
                   faults { made(fitting, "remove_kind", id: "reed-pad") })
      assert_empty ids(made(made(fitting, "take_out", id: "reed-pad"), "remove_kind", id: "reed-pad"))
      assert_equal(["/change/id"], faults { made(bare, "remove_kind", id: "reed-pad") }.map(&:first))
    end

    # Nor does taking back the change that brought it.
    def test_taking_back_leaves_one_that_is_in_use
      later = made(own, "add_device", of: "reed-pad", host: "desk")
      back = Changes::TakeBack.new(revisions: [[bare, own]])
      refused = faults { Changes.make(later, back, knowledge: KNOWLEDGE, by: nil, at: nil) }
      assert_equal([["/change", "is the kind of Reed pad: take that out first"]], refused)
      whole = Changes.make(later, Changes::Become.new(document: bare.document), knowledge: KNOWLEDGE, by: nil, at: nil)
      assert_equal bare.document, whole.fitting.document
    end

    def test_what_is_wrong_in_it_is_told_where_it_stands
      wrong = PAD.merge("hosts" => {}, "buttons" => [PAD["buttons"][0].except("name"), *PAD["buttons"].drop(1)])
      assert_equal %w[/change/document/buttons/0/name /change/document/hosts],
                   faults { made(bare, "kind", document: wrong) }.map(&:first).sort
      assert_equal %w[/kinds/0/hosts], faults { amended(bare, "kinds" => [PAD.merge("hosts" => {})]) }.map(&:first)
      assert_equal(["/kinds"], faults { amended(bare, "kinds" => [PAD, PAD]) }.map(&:first))
      assert_equal(["/change/document"], faults { made(bare, "kind", document: 7) }.map(&:first))
    end

    def test_history_names_it
      assert_equal ["Kind of device added: Reed pad."], Changes::Differences.new(bare, own, KNOWLEDGE).words
    end
  end
end
