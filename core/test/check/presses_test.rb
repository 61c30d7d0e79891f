# frozen_string_literal: true

require_relative "checking"

module Kippen
  # What this client's presses say: of the call for help, of what is dangerous, of a tremor that goes on.
  class PressesOfCheckTest < CoreTest
    include Checking

    ASKED = RIGHT

    # presses – [[intended, ms down…, then apart, down …]…]
    def series(*presses, button: ASKED)
      trials = presses.map { |intended, *lengths| { "intended" => intended, "trace" => trace(lengths) } }
      document = { "kippen" => "trials/1", "button" => { "id" => button }, "offered" => %w[tap long_press], "trials" => trials }
      [Formats::TrialsJson.read(JSON.generate(document))]
    end

    def trace(lengths)
      at = 0
      lengths.each_with_index.flat_map do |ms, index|
        next (at += ms * 1000) && [] if index.odd?

        from = at
        [[from, "down"], [at += ms * 1000, "up"]]
      end
    end

    LONG = ["long_press", 700].freeze
    SHORT = ["long_press", 300].freeze

    def test_how_surely_help_comes
      assert_equal [["look", { "button" => ASKED, "gesture" => "long_press" }]], told(desk, "help_unreliable")
      assert_match(/\ANobody knows/, found(desk, "help_unreliable")[0].what)
      refute_found_with series(*([LONG] * 9), SHORT), "help_unreliable"
      seldom = series(*([LONG] * 4), *([SHORT] * 6))
      assert_equal ["serious"], told(desk, "help_unreliable", trials: seldom).map(&:first)
      assert_equal({ "right" => 4, "of" => 10, "low" => 17, "high" => 69 },
                   found(desk, "help_unreliable", trials: seldom)[0].figures)
      # 7 of 8 may as well be nine in ten.
      assert_equal ["look"], told(desk, "help_unreliable", trials: series(*([LONG] * 7), SHORT)).map(&:first)
    end

    # Both in one: the one comes to where the other was, and the finding is gone.
    def test_help_changes_places_with_what_is_done_surely
      both = assign(desk, "#{MOUSE}/middle", "long_press", LOUDER)
      heard = series(*([SHORT] * 10)) + series(*([LONG] * 10), button: "#{MOUSE}/middle")
      finding = found(both, "help_unreliable", trials: heard)[0]
      fixes = Check::Fixes.new(both, KNOWLEDGE, at: NOON, trials: heard).of(finding)
      assert_equal "Let “Ask for help” and “Louder” change places: it comes to the long-press of Mouse with five buttons, " \
                   "Wheel pressed", fixes[0].words
      after = Changes.make(both, Changes.read(fixes[0].change), knowledge: KNOWLEDGE, by: nil, at: NOON).fitting
      assert_equal([HELP, LOUDER], ["#{MOUSE}/middle", ASKED].map do |ref|
        after.assigned(ref).find { |one| one.gesture == "long_press" }.action
      end)
      assert_empty told(after, "help_unreliable", trials: heard)
      # Where nothing is done surely, nothing is offered.
      assert_empty Check::Fixes.new(desk, KNOWLEDGE, at: NOON, trials: series(*([SHORT] * 10)))
        .of(found(desk, "help_unreliable", trials: series(*([SHORT] * 10)))[0])
    end

    def refute_found_with(trials, id) = assert_empty(told(desk, id, trials:))

    # Not in a mode, and never the worse of two ways.
    def test_of_two_ways_the_better_counts
      two = assign(desk, "#{MOUSE}/middle", "long_press", HELP)
      sure = series(*([LONG] * 10), button: "#{MOUSE}/middle")
      assert_empty told(two, "help_unreliable", trials: sure + series(*([SHORT] * 10)))
    end

    # What a button offers there is what decides: as usual it has no long-press at all.
    def test_a_way_that_is_in_a_mode
      moded = made(with_devices("mouse-five"), "mode", mode: { "name" => "Quiet" })
      mode = moded.modes[0].id
      taking = assign(moded, "#{MOUSE}/middle", "long_press", { "kind" => "mode", "mode" => mode, "how" => "lock" })
      quiet = assign(taking, RIGHT, "long_press", HELP, mode:)
      assert_equal [["look", { "button" => RIGHT, "gesture" => "long_press", "mode" => mode }]], told(quiet, "help_unreliable")
      assert_empty told(quiet, "help_unreliable", trials: series(*([LONG] * 10)))
      assert_equal [["serious", { "button" => RIGHT, "gesture" => "long_press", "mode" => mode }]],
                   told(quiet, "help_unreliable", trials: series(*([SHORT] * 10)))
      wanted = made(quiet, "want", want: { "what" => "Call", "action" => HELP, "wrong" => "dangerous" })
      refute_found wanted, "dangerous_press"
      assert_equal ["serious"], told(wanted, "dangerous_press", trials: series(*([LONG] * 8), ["tap", 600])).map(&:first)
    end

    # What takes too long to replay is not taken for looked at.
    def test_replays_end_with_the_deadline
      many = series(*([LONG] * 50))
      asked = 0
      deadline = Object.new.tap { |one| one.define_singleton_method(:check) { (asked += 1) > 100 && raise(Deadline::Passed) } }
      result = check(desk, trials: many, deadline:)
      refute_includes result.looked_for, "late"
      asked = -1_000
      assert_includes check(Fitting.read(desk.document), trials: many, deadline:).looked_for, "help_unreliable"
    end

    # A wrong call for help is a nuisance; what a want says goes before that.
    def test_something_dangerous_that_came_when_something_else_was_meant
      refute_found desk, "dangerous_press"
      wanted = made(desk, "want", want: { "what" => "Call", "action" => HELP, "wrong" => "dangerous" })
      # Told with the call for help that nobody knows of.
      refute_found wanted, "dangerous_press"
      mixed = series(*([LONG] * 8), ["tap", 600], ["tap", 200])
      assert_equal [["serious", { "button" => ASKED, "gesture" => "long_press" }]], told(wanted, "dangerous_press", trials: mixed)
      assert_match(/came once in 10 when something else was meant/, found(wanted, "dangerous_press", trials: mixed)[0].what)
      assert_empty told(wanted, "dangerous_press", trials: series(*([LONG] * 8), ["tap", 200]))
    end

    def test_a_guard_that_a_tremor_never_lets_end
      guarded = made(desk, "timing", button: ASKED, setting: "bounce_guard_ms", value: 300)
      released = made(guarded, "timing", button: ASKED, setting: "bounce_guard_from", value: "release")
      tremor = series(["tap", *([100, 200] * 8), 100])
      assert_equal [["serious", { "button" => ASKED }]], told(released, "guard_never_ends", trials: tremor)
      # Counted from the press it ends; a slower tremor lets it; three touches within two seconds are none that goes on.
      assert_empty told(guarded, "guard_never_ends", trials: tremor)
      assert_empty told(released, "guard_never_ends", trials: series(["tap", *([100, 310] * 8), 100]))
      assert_empty told(released, "guard_never_ends", trials: series(["tap", 100, 200, 100, 200, 100]))
      fixes = Check::Fixes.new(released, KNOWLEDGE, at: NOON, trials: tremor)
      assert_equal ["Bounce guard counted from of Mouse with five buttons, Right button: from the press"],
                   fixes.of(found(released, "guard_never_ends", trials: tremor)[0]).map(&:words)
    end

    # days – [day, how many, ms held…]
    def of_days(*days, button: ASKED)
      trials = days.flat_map do |day, count, ms|
        Array.new(count) do |index|
          { "intended" => "tap", "at" => "2026-11-#{day}T10:00:#{format("%02d", index)}Z",
            "trace" => [[0, "down"], [(ms + index) * 1000, "up"]] }
        end
      end
      document = { "kippen" => "trials/1", "button" => { "id" => button }, "offered" => %w[tap long_press], "trials" => trials }
      [Formats::TrialsJson.read(JSON.generate(document))]
    end

    def test_presses_of_another_day_that_have_changed
      slower = of_days([20, 12, 150], [24, 12, 320])
      assert_equal [["look", { "button" => ASKED }]], told(desk, "trials_old", trials: slower)
      assert_equal "Mouse with five buttons, Right button: the presses of the last day differ from those before. " \
                   "How long presses last: 155.5 ms then, 325.5 ms now.", found(desk, "trials_old", trials: slower)[0].what
      refute_found_with of_days([20, 12, 150], [24, 12, 152]), "trials_old"
      # One day is no other day, and presses that say no time are of none.
      refute_found_with of_days([20, 24, 150]), "trials_old"
      refute_found_with series(*([LONG] * 9), SHORT), "trials_old"
    end

    # Of one button alone it would be sure; beside nine that are as they were it isn't.
    def test_all_buttons_are_taken_together
      same = %w[left middle back forward].flat_map { |id| of_days([20, 9, 150], [24, 9, 151], button: "#{MOUSE}/#{id}") }
      alone = of_days([20, 9, 150], [24, 9, 154])
      p_alone = Tuning::Drift.of(*Check::Presses.new(desk, Check::Presses::Given.new(alone)).days(desk.button(ASKED)),
                                 desk.timing(desk.button(ASKED)).settings).map(&:p).compact.min
      assert_operator p_alone, :<, 0.05
      assert_equal 1, told(desk, "trials_old", trials: alone).size
      assert_empty told(desk, "trials_old", trials: alone + same)
    end
  end
end
