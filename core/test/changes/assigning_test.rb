# frozen_string_literal: true

require_relative "../kinds_data"

module Kippen
  # What can be done to the assignments of a button.
  class AssigningTest < CoreTest
    include KindsData

    CALL = { "kind" => "app", "app" => "hearthcall", "command" => "answer" }.freeze
    PLACES = [{ "id" => "letters", "app" => "rookery" }].freeze

    def assign(fitting, gesture, button: OK, action: CALL, **more) = made(fitting, "assign", button:, gesture:, action:, **more)

    def spots(fitting)
      fitting.document["assignments"].map { |item| item.values_at("gesture", "place").compact.push(item["action"]["kind"]) }
    end

    def test_an_untouched_button_keeps_its_tap
      %w[double_tap long_press hold].each do |gesture|
        assert_equal [%w[tap builtin], [gesture, "app"]], spots(assign(fitting, gesture))
      end
    end

    def test_the_tap_is_not_kept_where_it_is_told_so
      assert_equal [%w[long_press app]], spots(assign(fitting, "long_press", keep: false))
    end

    def test_the_kept_tap_comes_once_and_only_where_the_button_was_untouched
      assert_equal [%w[tap builtin], %w[long_press app], %w[double_tap app]],
                   spots(assign(assign(fitting, "long_press"), "double_tap"))
      assert_equal [%w[tap app]], spots(assign(fitting, "tap"))
      assert_equal [%w[tap app], %w[long_press app]], spots(assign(assign(fitting, "tap"), "long_press"))
    end

    def test_in_an_app_the_tap_is_kept_only_where_everywhere_says_nothing
      untouched = fitting("places" => PLACES)
      assert_equal [%w[tap letters builtin], %w[long_press letters app]], spots(assign(untouched, "long_press", place: "letters"))
      assert_equal [%w[tap app], %w[long_press letters app]],
                   spots(assign(assign(untouched, "tap"), "long_press", place: "letters"))
    end

    def test_an_assignment_takes_the_place_of_the_one_there
      assert_equal [%w[tap builtin], %w[hold app]], spots(assign(assign(fitting, "long_press"), "hold"))
    end

    def test_clearing_leaves_the_rest_and_an_untouched_button_in_the_end
      both = assign(assign(fitting, "long_press"), "double_tap")
      one = made(both, "clear", button: OK, gesture: "double_tap")
      assert_equal [%w[tap builtin], %w[long_press app]], spots(one)
      assert_empty spots(made(one, "clear", button: OK, gesture: "long_press"))
    end

    def test_clearing_what_is_not_there_is_told
      assert_equal([["/assignments", "no tap is assigned to remote/ok there"]],
                   faults { made(fitting, "clear", button: OK, gesture: "tap") })
    end

    def test_timing_is_set_for_one_button
      changed = made(fitting, "timing", button: OK, setting: "long_press_ms", value: 900)
      assert_equal([900_000, 500_000], %w[remote/ok remote/list].map { |ref| changed.timing(changed.button(ref)).long_press_us })
      assert_equal([["/setting", 'unknown setting "colour"']],
                   faults { made(fitting, "timing", button: OK, setting: "colour", value: 1) })
    end

    def test_the_fitting_given_stays_as_it_was
      before = fitting
      assign(before, "long_press")
      assert_equal document, before.document
    end

    def test_an_assignment_is_switched_off_kept_and_on_again
      with = fitting("assignments" => [assignment("tap"), assignment("long_press", place: "letters")],
                     "places" => [{ "id" => "letters", "app" => "rookery" }])
      off = made(with, "switch", button: OK, gesture: "long_press", place: "letters", off: true)
      assert_equal [false, true], off.assignments.map(&:off)
      assert_equal with.document, made(off, "switch", button: OK, gesture: "long_press", place: "letters", off: false).document
      assert_equal([["/assignments", "no long_press is assigned to remote/ok there"]], faults do
        made(with, "switch", button: OK, gesture: "long_press", off: true)
      end)
    end

    def taps(fitting) = fitting.assignments.select { |one| one.gesture == "tap" }.map { |one| [one.action["kind"], one.at_once] }

    def test_the_kept_tap_acts_at_once_where_it_is_told_to
      assert_equal [["builtin", true]], taps(assign(fitting, "double_tap", at_once: true))
      assert_equal [["builtin", false]], taps(assign(fitting, "double_tap"))
      assert_empty spots(made(assign(fitting, "double_tap", at_once: true), "clear", button: OK, gesture: "double_tap"))
    end

    def test_a_tap_is_let_act_at_once_and_wait_again
      two = assign(assign(fitting, "tap"), "double_tap")
      soon = made(two, "tap_at_once", button: OK, at_once: true)
      assert_equal [["app", true]], taps(soon)
      assert_equal [["app", true]], taps(assign(soon, "tap")), "another action on it keeps how it acts"
      assert_equal two.document, made(soon, "tap_at_once", button: OK, at_once: false).document
      assert_equal([["/assignments", "no tap is assigned to remote/ok there"]],
                   faults { made(fitting, "tap_at_once", button: OK, at_once: true) })
    end

    def test_what_is_on_a_gesture_is_carried_elsewhere_or_copied
      one = assign(fitting, "long_press", action: { "kind" => "open", "what" => "app" },
                                          repeat: { "after_ms" => 500, "every_ms" => 100 })
      to = { "button" => "remote/list", "gesture" => "double_tap" }
      carry = lambda { |from, copy, **more|
        made(from, "carry", button: OK, gesture: "long_press", copy:, to: to.merge(more.transform_keys(&:to_s)))
      }
      where = ->(made) { made.assignments.map { |item| [item.button, item.gesture, item.action["kind"], !item.repeat.nil?] } }
      assert_equal [["remote/list", "tap", "builtin", false], ["remote/list", "double_tap", "open", false]],
                   where.call(carry.call(one, false))
      assert_equal [["remote/ok", "tap", "builtin", false], ["remote/ok", "long_press", "open", true],
                    ["remote/list", "tap", "builtin", false],
                    ["remote/list", "hold", "open", true]], where.call(carry.call(one, true, gesture: "hold"))
      assert_equal([["/change/to", "it is there already"]], faults { carry.call(one, true, button: OK, gesture: "long_press") })
      assert_match(/a notch can only make a tap/, faults { carry.call(one, false, button: "remote/wheel-up") }.join)
    end
  end
end
