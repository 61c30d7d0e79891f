# frozen_string_literal: true

require_relative "hands"

module Kippen
  # What is told of trials besides the fit: where they lie, what another value would do, who pays, whose fault it is.
  class ToldTest < CoreTest
    include Hands

    KNOWN = Knowledge.read(DataFolder.texts(File.expand_path("../../data", __dir__)))

    def file(offered, trials, **more)
      Formats::TrialsJson.read(JSON.generate({ "kippen" => "trials/1", "button" => { "id" => "b" }, "offered" => offered,
                                               "trials" => trials }.merge(more.transform_keys(&:to_s))))
    end

    # edges in ms: down, up, down, up …
    def press(intended, *edges)
      { "intended" => intended, "trace" => edges.each_with_index.map { |ms, index| [ms * 1000, index.even? ? "down" : "up"] } }
    end

    def usual = Fitting::Timing::SETTINGS.values.to_h { |setting| [setting.name, setting.default] }

    def test_marks_of_presses_of_one_that_lasts_and_of_a_squeeze
      marks = ->(series) { Tuning::Marks.of(series.trials.first, press_at: 0.6, release_at: 0.4) }
      assert_equal({ "held" => [80, 90], "apart" => [50] }, marks[file(%w[double_tap], [press("double_tap", 0, 80, 130, 220)])])
      assert_equal({ "held" => [900], "apart" => [20] }, marks[file(%w[long_press], [press("long_press", 0, 400, 420, 900)])])
      assert_equal({ "held" => [], "apart" => [] }, marks[file(%w[tap], [press("rest")])])
      squeeze = { "intended" => "tap",
                  "trace" => [[0, "level", 0.5], [10_000, "level", 0.6], [60_000, "level", 0.45], [90_000, "level", 0.4]] }
      assert_equal({ "held" => [80], "apart" => [] }, marks[file(%w[tap], [squeeze], button: { "id" => "b", "kind" => "force" })])
    end

    def test_along_a_value_only_what_it_decides_changes
      series = file(%w[tap long_press], [press("tap", 0, 300), press("tap", 0, 700), press("long_press", 0, 900)])
      along = Tuning::Along.of(series, usual, "long_press_ms")
      at = ->(ms) { along.states[along.at[along.settable.index(ms)]] }
      assert_equal %w[oor ror rrr rro], [300, 310, 710, 910].map(&at)
      assert_equal along.settable.sort, along.settable
      settable = file(%w[tap], [press("tap", 0, 300)], settable: { "bounce_guard_ms" => { "values" => [0, 250, 500] } })
      assert_equal [0, 250, 500], Tuning::Along.of(settable, usual, "bounce_guard_ms").settable
    end

    # What is told along a value is what the trials come to under it.
    def test_along_is_what_replays_say
      series = Formats::TrialsJson.read(JSON.generate(trials(Hands::TREMOR, 24, 5)))
      replays = Tuning::Replays.new(series)
      along = Tuning::Along.of(series, usual, "bounce_guard_ms")
      along.settable.each_with_index do |value, index|
        said = replays.scores(series.trials, usual.merge("bounce_guard_ms" => value))
          .map { |score| Tuning::Along::LETTERS.fetch(score.verdict) }.join
        assert_equal said, along.states[along.at[index]], value
      end
    end

    # So that a thousand trials are told in the time of a hundred.
    def test_of_many_trials_fewer_values_are_told_the_one_that_holds_among_them
      many = file(%w[tap], Array.new(3_000) { press("tap", 0, 300) })
      along = Tuning::Along.of(many, usual.merge("long_press_ms" => 511), "long_press_ms")
      assert_operator along.settable.size * 3_000, :<=, Tuning::Along::MOST_REPLAYS + 3_000
      assert_includes along.settable, 511
      few = Tuning::Along.of(file(%w[tap], [press("tap", 0, 300)]), usual.merge("long_press_ms" => 511), "long_press_ms")
      assert_equal few.settable.values_at(0, -1), along.settable.values_at(0, -1)
    end

    def test_by_hand_up_by_fifty_until_one_press_counts_once
      twice = press("tap", 0, 60, 130, 190)
      assert_equal([[100, false], [[100, 2]]], state(twice).then { |one| [[one.guard_ms - 50, one.found], one.tried] })
      assert_equal [150, true, [[100, 2], [150, 1]]], state(twice, twice).to_a
      assert_equal [100, false, [[100, 0]]], state(press("tap")).to_a
    end

    # One that makes a double-tap counts twice, though it is one row.
    def test_by_hand_beside_a_double_tap
      twice = press("tap", 0, 60, 260, 300)
      series = file(%w[tap double_tap], Array.new(6) { twice })
      assert_equal [[100, 2], [150, 2], [200, 2], [250, 2], [300, 1]], Tuning::ByHand.of(series).tried
      assert_equal 300, Tuning::ByHand.guard(series.trials, Tuning::Replays.new(series), usual)
      guard = ->(trial) { Tuning::ByHand.guard(file(%w[tap double_tap], [trial]).trials, Tuning::Replays.new(series), usual) }
      assert_equal([1000, 100], [press("tap", 0, 60, 1200, 1300), press("double_tap", 0, 60, 260, 300)].map(&guard))
    end

    def state(*trials) = Tuning::ByHand.of(file(%w[tap], trials))

    def test_with_another_finger_the_switch_is_told_from_the_hand
      clean = Array.new(6) { press("tap", 0, 80) }
      of = ->(presses, sort = "tap") { Tuning::Worn.of(file([sort], presses)) }
      worn = of[clean.first(4) + [press("tap", 0, 40, 52, 100), press("tap", 0, 40, 48, 90)]]
      assert_equal [true, 2, 6, 15], worn.to_a
      assert_includes Tuning::Worn.words(worn), "the switch is worn. Replace it, or keep a gap bridge of 15 ms"
      assert_equal [false, 0, 6, nil], of[clean].to_a
      assert_nil of[clean.first(3)].worn
      # Fingers that press twice let go for longer.
      assert_equal false, of[Array.new(6) { press("double_tap", 0, 80, 160, 240) }, "double_tap"].worn
    end

    # A good switch bounces now and then: one is none of many, and of few it says nothing yet.
    def test_one_bounce_is_not_a_worn_switch
      once = lambda { |clean|
        Tuning::Worn.of(file(%w[tap], [press("tap", 0, 40, 48, 90)] + Array.new(clean) { press("tap", 0, 80) })).worn
      }
      assert_equal [nil, nil, false], [5, 30, 39].map(&once)
      assert Tuning::Worn.of(file(%w[tap],
                                  Array.new(2) { press("tap", 0, 40, 48, 90) } + Array.new(38) { press("tap", 0, 80) })).worn
    end

    # Levels between 0.6 and 0.45 are a touch there, as anywhere.
    def test_a_worn_force_button_is_found_by_its_levels
      levels = [[0, 0.7], [40_000, 0.2], [52_000, 0.7], [100_000, 0.1]].map { |at, level| [at, "level", level] }
      bounced = Array.new(3) { { "intended" => "tap", "trace" => levels } }
      assert_equal [true, 3, 3, 15], Tuning::Worn.of(file(%w[tap], bounced, button: { "id" => "b", "kind" => "force" })).to_a
    end

    def fitted(assignments, timing: {}, **more)
      buttons = [{ "id" => "left" }, { "id" => "right" }, { "id" => "forward", "name" => "Forward" }]
      fitting("devices" => [{ "id" => "mouse", "kind" => "mouse-five", "timing" => timing, "buttons" => buttons }],
              "assignments" => assignments, **more)
    end

    def pays(fitting, series, timing, unsaved: [])
      Tuning::Pays.new(fitting, fitting.button("mouse/left"), KNOWN, timing, series:, unsaved:).list
    end

    HELP = { "kind" => "help" }.freeze
    JOBS = %w[tap double_tap].map { |gesture| { "button" => "mouse/left", "gesture" => gesture, "action" => HELP } }.freeze

    def test_what_comes_later_is_told_and_what_comes_sooner
      series = file(%w[tap double_tap long_press], [press("tap", 0, 80)])
      told = pays(fitted(JOBS), series, { "tap_gap_ms" => 450, "long_press_ms" => 400 })
      assert_equal([["later", "tap", "Tap comes 150 ms later: +450 ms."],
                    ["sooner", "long_press", "Long-press comes 100 ms sooner: at 400 ms."]],
                   told.map { |one| [one.id, one.gesture, one.what] })
    end

    # Its changes are those that Changes.read takes, and they do what they say.
    def test_what_no_timing_saves_comes_with_what_would_help
      fitting = fitted(JOBS)
      unsaved = [Tuning::Unsaved::Found.new(gesture: "double_tap", right: 0.5, n: 10)]
      told = pays(fitting, file(%w[tap double_tap], [press("tap", 0, 80)]), {}, unsaved:)
      assert_equal %w[unsaved], told.map(&:id)
      change = Changes.read(told.first.fixes.first.change)
      after = Changes.make(fitting, change, knowledge: KNOWN, by: "A", at: "2026-11-27T10:00:00Z").fitting
      assert_equal %w[long_press tap], after.assigned("mouse/left").map(&:gesture).sort
      assert_equal(%w[mouse/forward], told.first.fixes.drop(1).map { |one| one.change["to"]["button"] })
      assert_empty pays(fitting, file(%w[tap], [press("tap", 0, 80)]), {})
    end

    def test_clicks_that_the_host_loses_are_told
      slow = Array.new(10) { press("double_click", 0, 80, 620, 700) }
      series = file(%w[click double_click drag], slow + [press("drag", 0, 300, 820, 1500), press("drag", 0, 900)],
                    host: { "double_click_ms" => 500 })
      told = pays(fitted([]), series, { "bounce_guard_ms" => 500 })
      assert_equal %w[double_click host drag], told.map(&:id).first(3)
      change = told[1].fixes.first.change
      assert_equal 700, change.dig("host", "double_click_ms")
      assert_equal({ "kind" => "click", "button" => "left", "times" => 2 }, told[0].fixes.first.change["action"])
    end

    # 9 of 10 and 10 of 10; R, formula of Zou, Huang and Zhang with prop.test(correct = FALSE)$conf.int of each: .744 to .991.
    def test_the_whole_is_the_mean_of_the_gestures_weighed_by_use
      by = { "tap" => { "right" => 0.9, "n" => 10 }, "double_tap" => { "right" => 1.0, "n" => 10 },
             "rest" => { "right" => 0.0, "n" => 5 } }
      assert_equal({ "right" => 0.95, "low" => 0.7441, "high" => 0.9911 }, Tuning::Judged.whole(by, nil))
      assert_in_delta 0.91, Tuning::Judged.whole(by, { "tap" => 90, "double_tap" => 10 })["right"]
      assert_nil Tuning::Judged.whole({}, nil)["right"]
    end

    def test_wants_say_how_often_a_gesture_is_used_and_what_a_wrong_one_costs
      wants = [["read", HELP, 40, "nuisance"],
               ["call", { "kind" => "help", "to" => "all" }, 2, "dangerous"]].map do |id, action, times, wrong|
        { "id" => id, "what" => id, "action" => action, "times_a_day" => times, "wrong" => wrong }
      end
      jobs = [JOBS[0], JOBS[1].merge("action" => wants[1]["action"])]
      fitting = fitted(jobs, "wants" => wants)
      uses = ->(of, offered) { Tuning::GestureUse.new(of, KNOWN, of.button("mouse/left"), offered) }
      assert_equal({ "tap" => 40, "double_tap" => 2 }, uses[fitting, %w[tap double_tap]].times)
      assert_equal([1, 4, 4], %w[tap double_tap rest].map { |sort| uses[fitting, %w[tap double_tap]].weight(sort) })
      assert_nil uses[fitting, %w[tap long_press]].times
      assert_equal 1, uses[fitted(JOBS), %w[tap]].weight("tap")
    end

    def test_a_value_is_explained_by_what_was_seen
      series = file(%w[tap long_press], [press("tap", 0, 610), press("tap", 0, 400), press("long_press", 0, 1400)])
      explained = Tuning::Explained.new(series, usual.merge("long_press_ms" => 900),
                                        "long_press_ms" => [[500, 0, 1, 1], [700, 0, 0, 1], [900, 0, 0, 1], [1500, 0, 1, 1]])
      assert_equal ["Held this long, a press is a long-press.",
                    "The longest press that was to be short took 610 ms, the shortest that was to be long 1400 ms.",
                    "Anything from 700 ms to 900 ms does as well."], explained.of("long_press_ms")
      assert_equal ["A touch shorter than this is ignored."], explained.of("brush_guard_ms").first(1)
    end

    def test_the_room_around_a_value_goes_up_to_what_was_pressed_on_either_side
      short, long = Array.new(8) { |index| [press("tap", 0, 520 + (index * 11)), press("long_press", 0, 1303 + index)] }.transpose
      series = file(%w[tap long_press], short + long)
      room = lambda do |timing|
        whole = usual.merge(timing)
        Tuning::Explained.new(series, whole,
                              Tuning::Sweeps.new(series, Tuning::Replays.new(series)).of(whole)).around("long_press_ms")
      end
      assert_equal [600, 1300], room["long_press_ms" => 900]
      assert_equal [600, 1300], room["long_press_ms" => 1250]
    end

    def test_a_fitted_timing_for_a_button_a_device_and_all_worked_alike
      remote = { "id" => "remote", "kind" => "remote", "host" => "tv", "worked_with" => "right hand",
                 "buttons" => [{ "id" => "ok" }] }
      mouse = { "id" => "mouse", "kind" => "mouse-five", "worked_with" => "right hand",
                "buttons" => [{ "id" => "left" }, { "id" => "right", "worked_with" => "head" }] }
      own = { "remote/ok" => { "tap_gap_ms" => 600, "bounce_guard_ms" => 100 } }
      fitting = fitting("hosts" => [{ "id" => "computer" }, { "id" => "tv", "system" => "television" }],
                        "devices" => [mouse.merge("host" => "computer"), remote], "button_timing" => own)
      made = lambda do |scope, of|
        change = Changes.read({ "kind" => "fitted", "scope" => scope, "of" => of, "timing" => { "bounce_guard_ms" => 170 } })
        Changes.make(fitting, change, knowledge: KNOWN, by: "A", at: "2026-11-27T10:00:00Z")
      end
      guard = ->(result, ref) { result.fitting.timing(result.fitting.button(ref)).bounce_guard_us / 1000 }
      assert_equal([170, 0], %w[mouse/left mouse/right].map { |ref| guard[made["button", "mouse/left"], ref] })
      assert_equal([170, 170], %w[mouse/left mouse/right].map { |ref| guard[made["device", "mouse"], ref] })
      alike = made["worked_with", "right hand"]
      assert_equal([170, 0, 200], %w[mouse/left mouse/right remote/ok].map { |ref| guard[alike, ref] })
      assert_equal({ "tap_gap_ms" => 600 }, alike.fitting.own_timing(alike.fitting.button("remote/ok")))
      assert_includes alike.notes.join, "Bounce guard 170 ms can't be set on remote: it is 200 ms, the nearest that can."
      assert_raises(Invalid) { made["worked_with", "nose"] }
    end
  end
end
