# frozen_string_literal: true

require_relative "../helper"

module Kippen
  class EditTest < CoreTest
    CALL = { "kind" => "app", "app" => "hearthcall", "command" => "answer" }.freeze
    PLACES = [{ "id" => "letters", "app" => "rookery" }].freeze

    def assign(fitting, gesture, **more) = Fitting::Edit.assign(fitting, button: OK, gesture:, action: CALL, **more)

    def spots(fitting)
      fitting.document["assignments"].map { |item| item.values_at("gesture", "place").compact.push(item["action"]["kind"]) }
    end

    def test_an_untouched_button_keeps_its_tap
      %w[double_tap long_press hold].each do |gesture|
        assert_equal [%w[tap builtin], [gesture, "app"]], spots(assign(fitting, gesture))
      end
    end

    def test_the_kept_tap_comes_once_and_only_where_the_button_was_untouched
      assert_equal [%w[tap builtin], %w[long_press app], %w[double_tap app]], spots(assign(assign(fitting, "long_press"), "double_tap"))
      assert_equal [%w[tap app]], spots(assign(fitting, "tap"))
      assert_equal [%w[tap app], %w[long_press app]], spots(assign(assign(fitting, "tap"), "long_press"))
    end

    def test_in_an_app_the_tap_is_kept_only_where_everywhere_says_nothing
      untouched = fitting("places" => PLACES)
      assert_equal [%w[tap letters builtin], %w[long_press letters app]], spots(assign(untouched, "long_press", place: "letters"))
      assert_equal [%w[tap app], %w[long_press letters app]], spots(assign(assign(untouched, "tap"), "long_press", place: "letters"))
    end

    def test_an_assignment_takes_the_place_of_the_one_there
      assert_equal [%w[tap builtin], %w[hold app]], spots(assign(assign(fitting, "long_press"), "hold"))
    end

    def test_clearing_leaves_the_rest_and_an_untouched_button_in_the_end
      both = assign(assign(fitting, "long_press"), "double_tap")
      one = Fitting::Edit.clear(both, button: OK, gesture: "double_tap")
      assert_equal [%w[tap builtin], %w[long_press app]], spots(one)
      assert_empty spots(Fitting::Edit.clear(one, button: OK, gesture: "long_press"))
    end

    def test_clearing_what_is_not_there_is_told
      assert_equal([["/assignments", "no tap is assigned to remote/ok there"]],
                   faults { Fitting::Edit.clear(fitting, button: OK, gesture: "tap") })
    end

    def test_timing_is_set_for_one_button
      changed = Fitting::Edit.set_timing(fitting, button: OK, setting: "long_press_ms", value: 900)
      assert_equal([900_000, 500_000], %w[remote/ok remote/list].map { |ref| changed.timing(changed.button(ref)).long_press_us })
      assert_equal([["/setting", 'unknown setting "colour"']], faults { Fitting::Edit.set_timing(fitting, button: OK, setting: "colour", value: 1) })
    end

    def test_the_fitting_given_stays_as_it_was
      before = fitting
      assign(before, "long_press")
      assert_equal document, before.document
    end

    def test_an_assignment_is_switched_off_kept_and_on_again
      with = fitting("assignments" => [assignment("tap"), assignment("long_press", place: "letters")], "places" => [{ "id" => "letters", "app" => "rookery" }])
      off = Fitting::Edit.switch(with, button: OK, gesture: "long_press", place: "letters", off: true)
      assert_equal [false, true], off.assignments.map(&:off)
      assert_equal with.document, Fitting::Edit.switch(off, button: OK, gesture: "long_press", place: "letters", off: false).document
      assert_equal([["/assignments", "no long_press is assigned to remote/ok there"]], faults do
        Fitting::Edit.switch(with, button: OK, gesture: "long_press", off: true)
      end)
    end
  end
end
