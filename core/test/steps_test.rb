# frozen_string_literal: true

require_relative "kinds_data"

module Kippen
  # Several steps by one press: what is known of them, where they can be, and what stand-in hosts make of them.
  class StepsTest < CoreTest
    include KindsData

    LOUDER = { "kind" => "volume", "direction" => "up" }.freeze
    LAMPS = { "kind" => "app", "app" => "lampwright", "command" => "toggle" }.freeze
    CALL = { "kind" => "call", "do" => "call", "contact" => "Wenna" }.freeze
    HOME = { "kind" => "system", "do" => "home" }.freeze
    OK = "television-remote/ok"
    RED = "television-remote/back"
    MOUSE = "mouse-with-five-buttons/right"

    def several(*parts, **more)
      { "kind" => "steps", "steps" => parts.map { |action, pause| { "action" => action, "pause_ms" => pause }.compact } }
        .merge(more.transform_keys(&:to_s))
    end

    def fitting = @fitting ||= add(add(bare, "remote", host: "tv"), "mouse-five", host: "desk")
    def put(action, button: OK, fitting: self.fitting) = result(fitting, "assign", button:, gesture: "long_press", action:)
    def fault(action, **where) = assert_raises(Invalid) { put(action, **where) }.faults
    def screen(fitting = self.fitting, host = "tv") = Standins::Screen.new(fitting, KNOWLEDGE, fitting.host(host))

    def outcome(action, button = OK, began: 0)
      Press::Outcome.new(began + 10, button, began, "base")
        .coming_to("long_press", "fire", Press::Outcome::From.new("everywhere", action))
    end

    def test_one_chip_has_the_steps_and_what_must_be_known_of_them
      evening = several([LAMPS], [CALL, 1500], [LOUDER, 500])
      entry = CATALOGUE.entry(evening)
      assert_equal "3 steps: Lights on or off, Call Wenna, Louder", CATALOGUE.name(evening)
      assert_equal "One after another: Lights on or off; after 1.5 s Call Wenna; after 0.5 s Louder.", CATALOGUE.effect(evening)
      assert_equal "steps", entry.id
      assert_equal CATALOGUE.hosts(LAMPS) & CATALOGUE.hosts(CALL), CATALOGUE.hosts(evening)
      assert_equal "Louder: Quieter; Call Wenna: Hang up the phone; Lights on or off: Lights on or off.", entry.facts["undo"]
      assert_equal CATALOGUE.entry(CALL).harm, entry.harm, "the worst of them"
      assert_includes entry.facts["needs"], CATALOGUE.entry(CALL).facts["needs"]
      assert_equal CATALOGUE.plain(several([LOUDER], [HOME])), CATALOGUE.plain(several([LOUDER], [HOME], stop: "itself"))
    end

    def test_what_is_no_step_is_refused_where_it_stands
      { several([LOUDER]) => "/change/action/steps", several(*[[LOUDER]] * 9) => "/change/action/steps",
        several([LOUDER], [{ "kind" => "mode", "how" => "clear" }]) => "/change/action/steps",
        several([LOUDER], [several([HOME], [HOME])]) => "/change/action/steps",
        several([LOUDER], [{ "kind" => "builtin" }]) => "/change/action/steps",
        several([LOUDER], [LOUDER, -1]) => "/change/action/steps",
        several([LOUDER, 500], [LOUDER, 500]) => "/change/action/steps",
        several([LOUDER], [CALL.merge("contact" => ""), 500]) => "/change/action/steps/1/action/contact",
        several([LOUDER], [{ "kind" => "modifier", "key" => "Shift", "how" => "held" }, 500]) => "/change/action/steps/1/action",
        several([LOUDER], [HOME, 500], stop: "the red one") => "/change/action/stop" }.each do |action, where|
        assert_includes fault(action, button: MOUSE).map(&:where), where, action.inspect
      end
      ["x", [], [1, 2], [{ "action" => 1 }, {}], { "a" => 1 }].each do |odd|
        assert_equal "Several steps, one after another", CATALOGUE.name({ "kind" => "steps", "steps" => odd })
      end
    end

    # A television does four with pauses of half seconds; what doesn't exist there is named.
    def test_a_host_has_its_limits
      fine = several([HOME], [LOUDER, 500], [LOUDER, 1000], [HOME, 10_000])
      assert_equal fine, put(fine).fitting.assignments.find { |one| one.gesture == "long_press" }.action
      assert_equal ["the television does at most 4 steps by one press; these are 5"],
                   fault(several([HOME], *[[LOUDER, 500]] * 4)).map(&:message)
      assert_match(/can’t wait 0.3 s between two steps: from 0.5 s to 10 s, in steps of 0.5 s/,
                   fault(several([HOME], [LOUDER, 300])).first.message)
      assert_match(/“Write a message|Copy/,
                   fault(several([HOME], [{ "kind" => "keys", "keys" => %w[Control KeyC] }, 500])).first.message)
      assert put(several([LOUDER], *[[LOUDER, 0]] * 7), button: MOUSE)
    end

    # The left mouse's steps are broken off by the left mouse, the right one's by the right.
    def test_on_another_device_its_own_button_breaks_them_off
      two = add(fitting, "mouse-five", host: "desk")
      put = put(several([LOUDER], [LOUDER], stop: "mouse-with-five-buttons/back"), button: MOUSE, fitting: two).fitting
      [false, true].each do |lasting|
        copied = made(put, "copy", from: "mouse-with-five-buttons", to: "mouse-with-five-buttons-2", lasting:)
        assert_equal "mouse-with-five-buttons-2/back", copied.assignments.find { |one|
          one.button == "mouse-with-five-buttons-2/right" && one.gesture == "long_press"
        }.action["stop"]
      end
      remote = put(several([LOUDER], [LOUDER], stop: OK), button: MOUSE, fitting: two).fitting
      copied = made(remote, "copy", from: "mouse-with-five-buttons", to: "mouse-with-five-buttons-2")
      assert_equal OK, copied.assignments.reverse.find { |one| one.gesture == "long_press" }.action["stop"],
                   "what is on neither stays"
    end

    # A line of a shortlist is done by the host that shows it.
    def test_a_line_of_a_shortlist_has_the_limits_of_its_host
      line = lambda { |action|
        made(fitting, "shortlist", shortlist: { "name" => "Evening", "host" => "tv", "items" => [{ "action" => action }] })
      }
      assert_equal 1, line[several([LOUDER], [LOUDER, 500])].shortlists.size
      refused = assert_raises(Invalid) { line[several([LOUDER], *[[LOUDER, 500]] * 4)] }
      assert_equal [["/change/shortlist/items/0", "the television does at most 4 steps by one press; these are 5"]],
                   refused.faults.map(&:to_a)
    end

    def test_a_step_may_name_a_new_app_and_the_app_is_used_while_it_does
      made = put(several([LOUDER], [{ "kind" => "open", "app" => { "name" => "Kelp Radio" } }, 500]), button: MOUSE).fitting
      assert_equal "kelp-radio", made.assignments.last.action["steps"][1]["action"]["app"]
      assert_includes made.apps.map(&:id), "kelp-radio"
      assert_raises(Invalid) { made(made, "remove_app", id: "kelp-radio") }
      gone = result(made, "app", app: { "id" => "kelp-radio", "name" => "Kelp Radio", "hosts" => ["phone"] })
      assert gone.fitting.assignments.last.off, gone.left_out.inspect
    end

    def test_a_host_does_them_in_order_when_they_are_due
      evening = several([LOUDER], [HOME, 500], [LOUDER, 1000])
      started = screen.at(10_000, OK).did(outcome(evening), nil)
      volume = ->(now) { now.state["volume"] }
      assert_equal [6, 10_500], [volume[started], Standins::Course.new(started).due_ms]
      assert_match(/Under way: 1 of 3 steps is done. The next press of .*OK breaks them off/, Standins::Facts.of(started).first)
      assert_equal [6, 11_500], [volume[started.at(10_500)], Standins::Course.new(started.at(10_500)).due_ms]
      assert_equal [], started.at(10_500).state["open"]
      over = started.at(60_000)
      assert_equal [7, nil], [volume[over], Standins::Course.new(over).due_ms]
      assert_equal over.state, started.at(10_700).at(11_499).at(60_000).state, "whenever it is looked at"
      assert Standins::Screen.state?(JSON.parse(JSON.generate(started.state)))
      refute Standins::Screen.state?(started.state.merge("course" => started.state["course"].merge("done" => 9)))
    end

    def test_the_next_press_of_its_stop_breaks_them_off_and_does_nothing_else
      evening = several([LOUDER], [LOUDER, 500], [LOUDER, 5000], stop: RED)
      started = screen.at(0, OK).did(outcome(evening), nil)
      assert_equal started.state, started.at(100).pressed("television-remote/left", 100_000).state, "another button is none"
      broken = started.at(700).pressed(RED, 700_000)
      assert_equal ["Broken off: 2 of 3 steps were done.", 7], broken.state.values_at("said", "volume")
      assert_equal 7, broken.did(outcome(LOUDER, RED, began: 700_000), nil).at(90_000).state["volume"]
      assert_equal 8, broken.did(outcome(LOUDER, RED, began: 900_000), nil).at(90_000).state["volume"],
                   "the press after that does what it does"
      itself = screen.at(0, OK).did(outcome(several([LOUDER], [HOME, 500])), nil)
      again = itself.at(200, OK).pressed(OK, 200_000).did(outcome(several([LOUDER], [HOME, 500]), began: 200_000), nil)
      assert_equal 6, again.at(9_000).state["volume"], "its own button, where none is chosen; they don't begin anew"
    end

    def test_other_steps_take_their_place
      first = screen.at(0, OK).did(outcome(several([LOUDER], [LOUDER, 5000])), nil)
      second = first.at(100, RED).did(outcome(several([HOME], [HOME, 500]), RED, began: 100), nil)
      assert_match(/\AThe steps before are broken off\./, second.state["said"])
      assert_equal 6, second.at(90_000).state["volume"]
    end

    def test_what_can_be_taken_back_is_the_last_first
      evening = several([LOUDER], [{ "kind" => "system", "do" => "lock" }, 0])
      done = screen(fitting, "desk").at(0, OK).did(outcome(evening), nil).at(10)
      back = done.does({ "kind" => "steps_back" })
      assert_equal ["1 of 2 steps is taken back. It stays: Lock the screen.", 5, true],
                   back.state.values_at("said", "volume", "locked")
      assert_equal "There are no steps to take back.", back.does({ "kind" => "steps_back" }).state["said"]
      mute = { "kind" => "volume", "direction" => "mute" }
      muted = screen(fitting, "desk").at(0, OK).did(outcome(several([LOUDER], [mute, 0])), nil).at(10)
      assert_equal [5, false], muted.does({ "kind" => "steps_back" }).state.values_at("volume", "muted"),
                   "quieter first would unmute, and the rest mute again"
      broken = screen(fitting, "desk").at(0, OK).did(outcome(several([LOUDER], [LOUDER, 5000])), nil).at(100).pressed(OK, 5)
      assert_equal 5, broken.does({ "kind" => "steps_back" }).state["volume"], "what was done of them"
    end
  end
end
