# frozen_string_literal: true

require_relative "kinds_data"

module Kippen
  # Documents as they were saved in the past open for ever, and can be worked with: core/test/documents, oldest first. What
  # Kippen saves differently from now on is added there, and none is ever taken away.
  class DocumentsTest < CoreTest
    include KindsData

    ALL = Dir[File.join(__dir__, "documents", "*.json")].to_h do |file|
      [File.basename(file, ".json"), JSON.parse(File.read(file))]
    end

    def test_none_is_taken_away = assert_operator(ALL.size, :>=, 12)

    ALL.each do |name, document|
      define_method("test_#{name}_opens_and_is_worked_with") do
        fitting = Formats::FittingJson.read(JSON.generate(document))
        assert_equal document, fitting.document, "nothing of it is changed by being read"
        lanes(fitting)
        assert_kind_of Hash, Standing.open(fitting, KNOWLEDGE)
        assert_changed_and_back(fitting)
      end
    end

    # What each button does is drawn, everywhere and in every mode.
    def lanes(fitting)
      known = KNOWLEDGE.of(fitting)
      cautions = Cautions.new(fitting, known)
      fitting.buttons.product([Fitting::BASE, *fitting.modes.map(&:id)]).each do |button, mode|
        lane = Press::Lane.new(fitting, button, mode:)
        assert lane.chips.map { |chip| known.catalogue.name(chip.action, button.builtin) }.all?(String)
        assert_kind_of Array, cautions.of(button)
      end
    end

    def assert_changed_and_back(fitting)
      button = fitting.buttons.find { |one| one.kind == "contact" }
      changed = made(fitting, "assign", button: button.ref, gesture: "triple_tap",
                                        action: { "kind" => "volume", "direction" => "up" }, place: "everywhere")
      refute_equal fitting.document, changed.document
      back = Changes.make(changed, Changes::Become.new(document: fitting.document), knowledge: KNOWLEDGE, by: nil,
                                                                                    at: nil).fitting
      assert_equal JSON.generate(fitting.document), JSON.generate(back.document)
      refute_empty Changes::Differences.new(fitting, changed, KNOWLEDGE).words
    end
  end
end
