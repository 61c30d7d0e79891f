# frozen_string_literal: true

require_relative "../kinds_data"

module Kippen
  # Stand-in hosts: what actions do on their screens, by the actions' own data.
  class ScreenTest < CoreTest
    include KindsData

    def fitting
      @fitting ||= bare("places" => [{ "id" => "margin", "app" => "rookery", "part" => "margin" },
                                     { "id" => "edge", "app" => "screen", "part" => "edge", "off_from_afar" => true }],
                        "modes" => [{ "id" => "log", "shortlist" => "log" }],
                        "shortlists" => [{ "id" => "log", "name" => "Log", "host" => "desk", "works" => "step",
                                           "items" => [{ "action" => { "kind" => "help" } }] },
                                         { "id" => "often", "host" => "desk",
                                           "items" => [{ "action" => { "kind" => "volume", "direction" => "up" } }] }])
    end

    def screen(host = "desk") = Standins::Screen.new(fitting, KNOWLEDGE, fitting.host(host))
    def after(*actions, host: "desk") = actions.reduce(screen(host)) { |now, action| now.does(action) }
    def state(*actions, **host) = after(*actions, **host).state

    def test_apps_open_in_front_behind_and_go
      first = screen.state["open"]
      assert_equal 2, first.size
      opened = { "kind" => "open", "app" => "wrenbox" }
      assert_equal ["wrenbox", *first], state(opened)["open"]
      assert_equal [first[0], "wrenbox", first[1]], state(opened.merge("how" => "behind"))["open"]
      assert_equal first, state(opened, { "kind" => "window", "do" => "close" })["open"]
      assert_equal ["wrenbox", *first],
                   state(opened, { "kind" => "window", "do" => "close" }, { "kind" => "window", "do" => "reopen" })["open"]
      assert_equal first.reverse, state({ "kind" => "switch", "to" => "next" })["open"]
      assert_equal [], state({ "kind" => "window", "do" => "close" }, { "kind" => "window", "do" => "close" },
                             { "kind" => "window", "do" => "close" })["open"]
    end

    def test_what_is_turned_up_called_and_written_shows
      louder = { "kind" => "volume", "direction" => "up" }
      assert_equal 10, state(*[louder] * 12)["volume"]
      assert_equal "on", state({ "kind" => "app", "app" => "hearthcall", "command" => "answer" })["call"]
      facts = Standins::Facts.of(after({ "kind" => "app", "app" => "lampwright", "command" => "toggle" },
                                       { "kind" => "text", "text" => "Low tide" },
                                       { "kind" => "help" }))
      assert_equal ["Help was called (1).", "Sound 5 of 10.", "The lights of the house are off.", "Lights on or off: 1.",
                    "Written: Low tide"], facts
    end

    def test_of_a_pointer_the_whole_way_is_told_as_far_as_it_went
      right = { "kind" => "move", "direction" => "right", "step_px" => 128, "faster" => "no" }
      outcome = lambda { |phase|
        Press::Outcome.new(0, "b/b", 0, "base").coming_to("hold", phase, Press::Outcome::From.new("everywhere", right))
      }
      held = ->(*phases) { phases.reduce(screen) { |now, phase| now.did(outcome[phase], nil) }.state }
      assert_equal "The pointer has moved 128 px right.", held["start"]["said"]
      assert_equal "The pointer has moved 384 px right.", held["start", "repeat", "repeat"]["said"]
      assert_equal "The pointer has moved 128 px right.", held["start", "repeat", "start"]["said"]
      assert_equal "The pointer has moved 896 px right.", held["start", *["repeat"] * 30]["said"],
                   "from 30 % of 1280 px to its edge"
    end

    # What a phone can't know is not told of it.
    def test_where_one_is_is_told_as_far_as_such_a_host_knows
      both = bare("hosts" => %w[computer phone].map { |system| { "id" => system, "system" => system } },
                  "places" => fitting.list("places"))
      at = lambda do |host, key|
        shown = Standins::Screen.new(both, KNOWLEDGE, both.host(host)).does({ "kind" => "open", "app" => "rookery" })
        left, top, width, height = shown.layout.elements.find { |one| one.key == key }.rect
        shown.with(pointer: [left + (width / 2), top + (height / 2)]).where["pointer"]
      end
      assert_equal ["rookery/margin", "screen/edge"], [at["computer", "part:margin"], at["computer", "region:edge"]]
      assert_equal %w[rookery rookery], [at["phone", "part:margin"], at["phone", "region:edge"]]
    end

    def test_a_modifier_is_down_until_pressed_again_or_let_go
      lock = { "kind" => "modifier", "key" => "Shift", "how" => "lock" }
      assert_equal([["Shift"], []], [state(lock), state(lock, lock)].map { |now| now["modifiers"] })
      held = lock.merge("how" => "held")
      outcome = lambda { |phase|
        Press::Outcome.new(0, "b/b", 0, "base").coming_to("hold", phase, Press::Outcome::From.new("everywhere", held))
      }
      down = screen.did(outcome["start"], nil)
      assert_equal([["Shift"], []], [down, down.did(outcome["end"], nil)].map { |now| now.state["modifiers"] })
    end

    def test_the_pointer_moves_by_its_step_and_stops_at_the_edge
      right = { "kind" => "move", "direction" => "right", "step_px" => 128 }
      assert_equal [40, 50], state(right)["pointer"]
      assert_equal 100, state(*[right] * 20)["pointer"][0]
      assert_equal [35.0, 42.0], state({ "kind" => "move", "direction" => "up-right", "step_px" => 64 })["pointer"]
    end

    def test_where_pointer_and_focus_are
      assert_equal({ "pointer" => "rookery/margin", "focus" => "rookery" }, screen.where)
      assert_equal "rookery/margin", after({ "kind" => "click", "button" => "left" }).where["focus"]
      left, top, width, height = screen.layout.elements.find { |one| one.kind == "region" }.rect
      edge = screen.with(pointer: [left + (width / 2), top + (height / 2)])
      assert_equal ["screen/edge", ""], [edge.where["pointer"], edge.with(afar: true).where["pointer"]]
      assert_equal({ "pointer" => "", "focus" => "" }, after(*[{ "kind" => "window", "do" => "close" }] * 2).where)
    end

    def test_shortlists_open_step_and_close
      opens, steps = %w[often log].map { |id| Catalogue::OwnActions.opens(fitting, fitting.shortlist(id)) }
      assert_equal({ "id" => "often", "marked" => 0 }, state(opens)["list"])
      chosen = Standins::Effects.new(after(opens)).take
      assert_equal [nil, 6], [chosen.state["list"], chosen.state["volume"]]
      key = ->(name) { { "kind" => "keys", "keys" => [name] } }
      assert_equal([6, 5], [state(opens, key["ArrowDown"], key["Enter"]),
                            state(opens, key["Escape"], key["Enter"])].map { |now| now["volume"] })
      does = Catalogue::OwnActions.steps(fitting.shortlist("log"))
      assert_equal ["Ask for help", "Leave"], after(steps).lines
      assert_equal([1, 0], [after(steps, does["next"]),
                            after(steps, does["next"], does["next"])].map { |now| now.state["list"]["marked"] })
      assert_equal([1, 0, 0], [state(steps, does["take"]), state(steps, does["next"], does["take"]),
                               state(steps, does["leave"])].map { |now| now["help"] })
    end

    def test_what_does_not_exist_there_is_refused_and_does_nothing
      refused = state({ "kind" => "move", "direction" => "up", "step_px" => 10 }, host: "tv")
      assert_equal "“Move the pointer up” does not exist on Television: nothing happened.", refused["said"]
      assert_equal screen("tv").state.except("said"), refused.except("said")
    end

    # Whatever the catalogue has is done or refused on every host, and the state can be taken up again.
    def test_every_action_leaves_a_state_that_can_be_taken_up
      usual = { "app" => "wrenbox", "contact" => "Ida", "time" => "07:30", "minutes" => 5, "place" => "home", "keys" => ["KeyA"],
                "text" => "a", "number" => 7 }
      KNOWLEDGE.catalogue.of(fitting).entries.each do |entry|
        action = usual.slice(*entry.asks.map(&:member)).merge(entry.action)
        fitting.hosts.each do |host|
          now = screen(host.id).does(KNOWLEDGE.catalogue.of(fitting).whole(action))
          assert Standins::Screen.state?(JSON.parse(JSON.generate(now.state))), "#{entry.id} on #{host.id}"
          refute_empty now.state["said"], "#{entry.id} on #{host.id}"
        end
      end
    end

    def test_a_state_of_another_shape_is_none
      [nil, 7, {}, { "kippen" => "screen/2" }, { "open" => 7 }, { "open" => [7] }, { "pointer" => ["a", 1] }, { "list" => 7 },
       { "volume" => "loud" },
       { "locked" => 1 }].each do |odd|
        value = odd.is_a?(Hash) && !odd.key?("kippen") && odd.any? ? { "kippen" => "screen/1" }.merge(odd) : odd
        refute Standins::Screen.state?(value), value.inspect
      end
      assert Standins::Screen.state?(screen.state)
    end
  end
end
