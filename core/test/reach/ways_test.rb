# frozen_string_literal: true

require_relative "../check/checking"

module Kippen
  # Ways to a want: the presses they take, their time, how surely they come out, and what they cost a day.
  class WaysTest < CoreTest
    include Checking

    READY = Class.new(Reach::Ways) { def not_ready = [] }

    def ways(fitting, **heard) = READY.new(fitting, KNOWLEDGE, **heard)

    def wanting(fitting, action, **more)
      made(fitting, "want", want: { "what" => "It", "action" => action }.merge(more.transform_keys(&:to_s)))
    end

    def found(fitting, **heard) = ways(fitting, **heard).of(fitting.wants.first)

    # Until it has happened, exactly as the engine has it, for every gesture beside every other and any timing. Source: none but
    # the engine itself, which is held against others.
    def test_waits_against_replayed_presses
      random = Random.new(26)
      tried = 0
      300.times do
        timing = { "gap_bridge_ms" => [0, 0, 40].sample(random:), "brush_guard_ms" => [0, 0, 60].sample(random:),
                   "long_press_ms" => random.rand(300..900), "tap_gap_ms" => random.rand(120..600),
                   "tap_gap_from" => %w[press release].sample(random:) }
        gestures = %w[tap double_tap triple_tap long_press].sample(random.rand(1..4), random:)
        next if gestures.include?("triple_tap") && !gestures.include?("double_tap")

        fitting = button(gestures, timing)
        gestures.each { |gesture| tried += 1 if replayed?(fitting, gesture) }
      end
      assert_operator tried, :>, 200
    end

    def button(gestures, timing)
      assignments = gestures.map { |gesture| { "button" => "d/b", "gesture" => gesture, "action" => { "kind" => "nothing" } } }
      bare("devices" => [{ "id" => "d", "host" => "desk", "buttons" => [{ "id" => "b" }] }], "timing" => timing,
           "assignments" => assignments)
    end

    # What the client does comes out as that gesture; then it comes when it is said to.
    def replayed?(fitting, gesture)
      one = fitting.buttons.first
      lane = Press::Lane.new(fitting, one)
      times = Reach::PressTimes.new(fitting, Check::Presses.new(fitting, Check::Presses::Given.new([])))
      said = times.until_it_happens(one, gesture, lane.choice, lane.timing)
      rows = trace(times.of(one), gesture)
      events = Press::Events.new(fitting)
      ends = [rows.last[0] + 20_000_000, events.read("", "end", "")]
      got = Press::Replay.run(fitting, [*rows.map { |at, kind| [at, events.read(one.ref, kind, "")] }, ends])
      return false unless got.size == 1 && got[0].gesture == gesture

      assert_equal got[0].at_us - rows.first[0], said, "#{gesture} of #{lane.waits.keys} with #{fitting.document["timing"]}"
      true
    end

    def trace(times, gesture)
      length = gesture == "long_press" ? times["long"] : times["press"]
      at = 0
      Array.new(Tuning::PRESSES[gesture]) do
        from = at
        at += length + times["gap"]
        [[from, "down"], [from + length, "up"]]
      end.flatten(1)
    end

    # 180 ms of people in general and the tap gap it waits; 0.97 of people in general; a nuisance is 10 s; 6 a day.
    def test_the_cost_of_one_way
      given = wanting(assign(desk, RIGHT, "tap", NEXT), NEXT, times_a_day: 6, wrong: "nuisance")
      one = found(given).first
      lane = Press::Lane.new(given, given.button(RIGHT))
      seconds = 0.18 + (lane.waits["tap"].us / 1e6)
      assert_equal [1, seconds.round(6), 0.97, false],
                   [one.presses, one.seconds.round(6), one.rate.right.round(2), one.rate.measured?]
      assert_in_delta 6 * (seconds + (0.03 * 10)), one.cost_s, 1e-9
      tiring = made(given, "button", button: RIGHT, set: { "effort_s" => 2 })
      assert_in_delta one.cost_s + 12, found(tiring).first.cost_s, 1e-9
      # Of a double-tap each press.
      both = [given, tiring].map { |fitting| wanting(assign(fitting, RIGHT, "double_tap", LOUDER), LOUDER) }
      light, heavy = both.map { |fitting| ways(fitting).of(fitting.wants.last).first.cost_s }
      assert_in_delta 4, heavy - light, 1e-9
      assert_in_delta 1 * (seconds + (0.03 * 10)),
                      found(wanting(assign(desk, RIGHT, "tap", NEXT), NEXT, wrong: "nuisance")).first.cost_s, 1e-9
    end

    def series(button, *lengths, intended: "tap", offered: %w[tap long_press])
      trials = lengths.map { |ms| { "intended" => intended, "trace" => [[0, "down"], [ms * 1000, "up"]] } }
      [Formats::TrialsJson.read(JSON.generate("kippen" => "trials/1", "button" => { "id" => button },
                                              "offered" => offered, "trials" => trials))]
    end

    # Of this button's own presses: their length, and how many come out; offering more changes the tap's rate too.
    def test_rates_rest_on_this_clients_presses_replayed
      given = wanting(assign(desk, RIGHT, "tap", NEXT), NEXT)
      heard = series(RIGHT, *([120] * 8), 900, 900)
      one = found(given, trials: heard).first
      # 8 of 10 within the long-press, pulled to 0.97 as by 8 more; Wilson of 8 in 10: R 4.2.2 prop.test(8, 10, correct = FALSE).
      assert_in_delta (8 + (8 * 0.97)) / 18, one.rate.right, 1e-9
      assert_equal [0.4901625, 0.9433178, 10], [one.rate.low.round(7), one.rate.high.round(7), one.rate.n]
      assert_in_delta 0.12 + (Press::Lane.new(given, given.button(RIGHT)).waits["tap"].us / 1e6), one.seconds, 1e-6
      rates = Reach::Rates.new(given, Check::Presses.new(given, Check::Presses::Given.new(heard)))
      assert_operator rates.of(given.button(RIGHT), "tap", %w[tap]).right, :>, one.rate.right
      # Nor does its own count once more as the same hand's.
      handed = made(given, "button", button: RIGHT, set: { "worked_with" => "left thumb" })
      assert_in_delta one.rate.right, found(handed, trials: heard).first.rate.right, 1e-9
    end

    # Few presses lean on the same hand's other buttons, those on people in general.
    def test_without_presses_of_its_own_the_same_hand_counts
      both = %w[middle right].reduce(desk) do |fitting, id|
        made(fitting, "button", button: "#{MOUSE}/#{id}", set: { "worked_with" => "left thumb" })
      end
      rates = ->(heard) { Reach::Rates.new(both, Check::Presses.new(both, Check::Presses::Given.new(heard))) }
      middle = both.button("#{MOUSE}/middle")
      assert_in_delta 0.97, rates[[]].of(middle, "tap", %w[tap]).right, 1e-9
      worse = rates[series(RIGHT, *([900] * 24))].of(middle, "tap", %w[tap])
      assert_in_delta (8 * 0.97) / 32, worse.right, 1e-9
      refute_predicate worse, :measured?
      # What a button doesn't offer tells nothing of it, whatever it was asked for.
      asked = rates[series(RIGHT, *([120] * 24), intended: "double_tap", offered: %w[tap double_tap])]
      assert_in_delta 0.9, asked.of(middle, "double_tap", %w[tap double_tap]).right, 1e-9
    end

    # First the mode is taken: presses and rates of both count.
    def test_a_way_through_a_mode
      moded = made(with_devices("mouse-five"), "mode", mode: { "name" => "Quiet" })
      mode = moded.modes[0].id
      taking = assign(moded, "#{MOUSE}/middle", "long_press", { "kind" => "mode", "mode" => mode, "how" => "lock" })
      way = found(wanting(assign(taking, RIGHT, "double_tap", NEXT, mode:), NEXT)).first
      assert_equal([["#{MOUSE}/middle", "long_press", nil, 1], [RIGHT, "double_tap", mode, 2]],
                   way.plain["steps"].map { |step| step.values_at("button", "gesture", "mode", "presses") })
      assert_equal 3, way.presses
      assert_in_delta 0.92 * 0.9, way.rate.right, 1e-9
      assert_in_delta way.steps.map(&:seconds).reduce(:+), way.seconds, 1e-9
      assert(way.steps.all? { |step| step.seconds.positive? })
    end

    # A mode that is taken in another one only.
    def test_a_way_through_two_modes
      moded = %w[Quiet Deep].reduce(with_devices("mouse-five")) do |fitting, name|
        made(fitting, "mode", mode: { "name" => name })
      end
      outer, inner = moded.modes.map(&:id)
      taking = { nil => outer, outer => inner }.reduce(moded) do |fitting, (mode, target)|
        action = { "kind" => "mode", "mode" => target, "how" => "lock" }
        assign(fitting, "#{MOUSE}/#{mode ? "back" : "middle"}", "long_press", action, **{ mode: }.compact)
      end
      way = found(wanting(assign(taking, RIGHT, "tap", NEXT, mode: inner), NEXT)).first
      assert_equal([nil, outer, inner], way.plain["steps"].map { |step| step["mode"] })
      # Without the way into the inner one there is none.
      assert_empty ways(taking, without: [MOUSE]).of(wanting(taking, NEXT).wants.first)
    end

    # Opened, stepped to the third line, taken.
    def test_a_way_by_a_shortlist_that_is_stepped
      items = [LOUDER, CLICK, NEXT].map { |action| { "action" => action } }
      listed = made(with_devices("mouse-five"), "shortlist",
                    shortlist: { "name" => "Often", "host" => "desk", "works" => "step", "items" => items })
      opened = made(listed, "open_shortlist", shortlist: listed.shortlists[0].id, button: RIGHT, gesture: "long_press")
      way = found(wanting(opened, NEXT)).first
      assert_equal %w[long_press tap tap long_press], way.steps.map(&:gesture)
      assert_equal [3, 3], way.steps.map(&:line).compact
    end

    # Why a device has no way.
    def test_why_there_is_none
      given = wanting(add(assign(desk, RIGHT, "tap", NEXT), "remote", host: "tv"), NEXT, hosts: ["desk"])
      mouse, remote = given.devices
      want = given.wants.first
      assert_equal %w[other_host off],
                   [ways(given).none_because(want, remote), ways(given, without: [mouse.id]).none_because(want, mouse)]
      assert_empty ways(given, without: [mouse.id]).of(want)
      assert_equal "no_action", ways(given).none_because(wanting(desk, nil).wants.first, mouse)
      # Steps of getting ready are open: what is on it isn't there yet.
      waiting = wanting(assign(add(given, "grip", host: "desk"), "squeeze-grip-left-hand/squeeze", "tap", NEXT), NEXT)
      grip = waiting.devices.last
      plain = Reach::Ways.new(waiting, KNOWLEDGE)
      assert_equal ["not_ready", [mouse.id]],
                   [plain.none_because(waiting.wants.last, grip), plain.of(waiting.wants.last).map(&:device)]
      undone = wanting(desk, NEXT)
      assert_equal "nothing", ways(undone).none_because(undone.wants.first, mouse)
    end

    # A want of so many a day, done by what is counted; by the part of the body; what hangs on one.
    def test_a_day_and_what_is_thin
      on_both = assign(assign(desk, RIGHT, "tap", NEXT), "#{MOUSE}/middle", "tap", LOUDER)
      two = wanting(wanting(on_both, NEXT, times_a_day: 10, importance: "must"), LOUDER, times_a_day: 30)
      parted = [[RIGHT, "thumb"], ["#{MOUSE}/middle", "palm"]].reduce(two) do |fitting, (ref, part)|
        made(fitting, "button", button: ref, set: { "worked_with" => part })
      end
      overview = Reach::Overview.new(ways(add(parted, "switch", host: "desk")))
      assert_equal [40, 0, { "thumb" => 10, "palm" => 30 }], overview.day.values_at("presses", "undone", "parts")
      assert_equal %w[single one_device one_part], overview.thin.map(&:id)
      assert_equal([[MOUSE, 1.0]], overview.devices.first(1).map { |one| one.values_at("device", "share") })
      # Half of it isn't more than half.
      even = made(parted, "want",
                  want: { "id" => "it", "what" => "It", "action" => NEXT, "times_a_day" => 30, "importance" => "must" })
      assert_equal [30, 30], Reach::Overview.new(ways(even)).day["parts"].values_at("thumb", "palm")
      refute_includes Reach::Overview.new(ways(even)).thin.map(&:id), "one_part"
      sure = series(RIGHT, *([900] * 20))
      assert_includes Reach::Overview.new(ways(parted, trials: sure)).thin.map(&:id), "unsure"
    end

    # The second way is one by another device.
    def test_the_second_way
      twice = [RIGHT, "#{MOUSE}/middle"].reduce(desk) { |fitting, ref| assign(fitting, ref, "tap", NEXT) }
      row = ->(fitting) { Reach::Overview.new(ways(fitting)).plain["wants"][0] }
      assert_nil row[wanting(twice, NEXT)]["second"]
      switched = add(twice, "switch", host: "desk")
      other = assign(switched, switched.buttons.last.ref, "tap", NEXT)
      assert_equal switched.devices.last.id, row[wanting(other, NEXT)]["second"]
    end

    def test_figures_are_settable_and_checked
      assert_equal 60, Reach::Figures.from("wrong_s" => { "serious" => 60 }).wrong_s["serious"]
      assert_equal 1800, Reach::Figures.from("wrong_s" => { "serious" => 60 }).wrong_s["dangerous"]
      assert_equal %w[/rate /wrong_s/odd /wrong_s/serious /x],
                   faults {
                     Reach::Figures.from("rate" => 2, "x" => 1, "wrong_s" => { "serious" => -1, "odd" => 1 })
                   }.map(&:first).sort
    end
  end
end
