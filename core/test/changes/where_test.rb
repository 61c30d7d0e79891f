# frozen_string_literal: true

require_relative "../kinds_data"

module Kippen
  # Places, modes, shortlists and cues of a client: what can be set, what is refused, and that nothing is lost.
  class WhereChangesTest < CoreTest
    include KindsData

    NEXT = { "kind" => "app", "app" => "rookery", "command" => "next-page" }.freeze
    HELP = { "kind" => "help" }.freeze
    LOUDER = { "kind" => "volume", "direction" => "up" }.freeze

    def desk = @desk ||= add(add(bare, "mouse-five", host: "desk"), "remote", host: "tv")
    def mouse(button) = "#{desk.devices.first.id}/#{button}"
    def on_remote(button) = "#{desk.devices.last.id}/#{button}"

    def tap_in(fitting, place, mode: "base", button: mouse("back"))
      Press::Resolver.of(fitting).choice(fitting.button(button), mode, Press::Resolver.of(fitting).spot(place)).tap&.action
    end

    def test_a_place_is_made_of_an_app_a_part_of_one_or_a_region_of_the_screen
      named = made(desk, "place", place: { "app" => { "name" => "Rookery" } })
      assert_equal({ "id" => "rookery", "name" => "Rookery", "app" => "rookery" }, named.list("places").last)
      part = made(named, "place", place: { "app" => "rookery", "part" => "The margin" })
      assert_equal({ "id" => "rookery-the-margin", "name" => "Rookery: The margin", "app" => "rookery", "part" => "the-margin" },
                   part.list("places").last)
      region = made(part, "place", place: { "app" => "screen", "part" => "Left edge", "off_from_afar" => true })
      assert_equal({ "id" => "screen-left-edge", "name" => "Screen: Left edge", "app" => "screen", "part" => "left-edge",
                     "off_from_afar" => true },
                   region.list("places").last)
      assert_equal([["/change/app", "Rookery is there already: the same app, the same part"]],
                   faults { made(named, "place", place: { "app" => "rookery" }) })
      assert_equal([["/change/part", "needs a place"]], faults { made(desk, "place", place: { "app" => "screen" }) })
    end

    def test_what_isnt_set_in_a_place_falls_back_and_one_that_is_off_is_as_though_it_were_not_there
      placed = made(desk, "place", place: { "app" => "rookery" })
      both = made(made(placed, "assign", button: mouse("back"), gesture: "tap", action: HELP), "assign",
                  button: mouse("back"), gesture: "tap", action: NEXT, place: "rookery")
      assert_equal [NEXT, HELP, HELP], [tap_in(both, "rookery"), tap_in(both, ""), tap_in(both, "tidebook")]
      off = made(both, "place", place: { "id" => "rookery", "off" => true })
      assert_equal HELP, tap_in(off, "rookery")
      assert_equal NEXT, tap_in(made(off, "place", place: { "id" => "rookery", "off" => false }), "rookery")
    end

    def test_a_place_that_goes_keeps_what_was_assigned_there
      placed = made(made(desk, "place", place: { "app" => "rookery" }), "assign", button: mouse("back"), gesture: "tap",
                                                                                  action: NEXT, place: "rookery")
      gone = result(placed, "remove_place", id: "rookery")
      assert_empty gone.fitting.assignments
      assert_equal ["1 assigned there is kept with it, and comes back with it."], gone.notes
      back = made(gone.fitting, "bring_back", id: "place:rookery")
      assert_equal placed.document, back.document.merge("taken_out" => nil).compact
      wanted = made(placed, "want", want: { "what" => "Read on", "place" => "rookery" })
      assert_match(/“Read on” wanted there/, faults { made(wanted, "remove_place", id: "rookery") }.dig(0, 1))
    end

    def test_a_mode_that_goes_takes_along_what_is_in_it_and_what_takes_it
      reading = made(desk, "mode", mode: { "name" => "Reading", "otherwise" => "nothing" })
      in_it = made(reading, "assign", button: mouse("back"), gesture: "tap", action: NEXT, mode: "reading")
      taken = made(in_it, "assign", button: mouse("forward"), gesture: "long_press",
                                    action: { "kind" => "mode", "mode" => "reading", "how" => "lock" })
      gone = made(taken, "remove_mode", id: "reading")
      assert_equal(["builtin"], gone.assignments.map { |one| one.action["kind"] })
      back = made(gone, "bring_back", id: "mode:reading")
      assert_equal taken.document.except("assignments"), back.document.except("assignments", "taken_out")
      assert_equal taken.document["assignments"].to_set, back.document["assignments"].to_set
    end

    def test_a_remote_carries_one_mode_and_no_more
      two = made(made(desk, "mode", mode: { "name" => "Reading" }), "mode", mode: { "name" => "Radio" })
      one = made(two, "assign", button: on_remote("volume-up"), gesture: "tap", action: LOUDER, mode: "reading")
      again = made(one, "assign", button: on_remote("volume-down"), gesture: "tap", action: HELP, mode: "reading")
      assert_equal([["/change/gesture", "Television remote carries one mode here (Reading): Radio would be one more"]],
                   faults { made(again, "assign", button: on_remote("volume-up"), gesture: "tap", action: HELP, mode: "radio") })
      assert_equal 1, faults {
        made(again, "assign", button: on_remote("ok"), gesture: "long_press",
                              action: { "kind" => "mode", "mode" => "radio", "how" => "lock" })
      }.size
      off = made(made(again, "switch", button: on_remote("volume-up"), gesture: "tap", mode: "reading", off: true), "switch",
                 button: on_remote("volume-down"), gesture: "tap", mode: "reading", off: true)
      other = made(off, "assign", button: on_remote("volume-up"), gesture: "tap", action: HELP, mode: "radio")
      assert_equal 1, faults {
        made(other, "switch", button: on_remote("volume-down"), gesture: "tap", mode: "reading", off: false)
      }.size
    end

    def test_holding_one_and_counting_another_is_one_change
      counts = { "tap" => NEXT, "double_tap" => HELP, "triple_tap" => LOUDER }
      fitting = made(desk, "hold_and_count", held: mouse("forward"), counted: mouse("back"), counts:)
      rows = Press::Replay.run(fitting, presses(fitting, 4))
      fired = rows.select { |one| one.phase == "fire" }
      assert_equal([["triple_tap", LOUDER]], fired.map { |one| [one.gesture, one.action] })
      more = made(fitting, "hold_and_count", held: mouse("forward"), counted: mouse("middle"), counts: { "tap" => HELP })
      assert_equal 1, more.modes.size
      assert_equal([["/change/counted", "the button that is held and the one that is counted must be two"]],
                   faults { made(desk, "hold_and_count", held: mouse("back"), counted: mouse("back"), counts:) })
      assert_equal([["/change/counted", "both buttons must be at the same host"]],
                   faults { made(desk, "hold_and_count", held: mouse("back"), counted: on_remote("ok"), counts:) })
    end

    def test_what_is_held_and_counted_is_counted_at_any_pace
      fitting = made(desk, "hold_and_count", held: mouse("forward"), counted: mouse("back"),
                                             counts: { "tap" => NEXT, "double_tap" => HELP })
      rows = Press::Replay.run(fitting, presses(fitting, 2, pace: 1_500_000))
      assert_equal([["double_tap", HELP]], rows.select { |one| one.phase == "fire" }.map { |one| [one.gesture, one.action] })
    end

    # One that was made before counts on as it did, until somebody says otherwise; other members stay.
    def test_a_mode_that_was_made_before_counts_by_the_gap_until_it_is_said_otherwise
      old = amended(desk, "modes" => [{ "id" => "held", "name" => "Held", "otherwise" => "nothing" }])
      hold = { "button" => mouse("forward"), "gesture" => "hold",
               "action" => { "kind" => "mode", "mode" => "held", "how" => "held" } }
      old = amended(old, "assignments" => [hold])
      more = made(old, "hold_and_count", held: mouse("forward"), counted: mouse("back"),
                                         counts: { "tap" => NEXT, "double_tap" => HELP })
      assert_equal %w[by_gap], more.modes.map(&:counting)
      said = made(more, "mode", mode: { "id" => "held", "name" => "Held", "counting" => "while_held" })
      assert_equal([%w[while_held nothing]], said.modes.map { |mode| [mode.counting, mode.otherwise] })
    end

    # One button down, another pressed so often, then all let go.
    def presses(fitting, count, pace: 200_000)
      held, counted = [mouse("forward"), mouse("back")].map { |ref| fitting.button(ref).index }
      rows = [[0, [:down, held, nil]]]
      count.times do |index|
        rows.push([100_000 + (index * pace), [:down, counted, nil]], [180_000 + (index * pace), [:up, counted, nil]])
      end
      rows.push([200_000 + (count * pace) + 200_000, [:up, held, nil]], [20_000_000, [:end, nil, nil]])
    end

    def test_a_shortlist_takes_as_many_lines_as_its_host_shows
      lines = (1..6).map { |number| { "action" => { "kind" => "text", "text" => "Line #{number}" } } }
      phone = Fitting.read(desk.document.merge("hosts" => [*HOSTS, { "id" => "pocket", "name" => "Phone", "system" => "phone" }]))
      six = made(phone, "shortlist", shortlist: { "name" => "Often", "host" => "pocket", "items" => lines })
      assert_equal 6, six.shortlist("often").items.size
      assert_equal([["/change/items", "Phone shows 6 lines of a shortlist; these are 7. Take out Louder please."]],
                   faults do
                     made(six, "shortlist",
                          shortlist: { "id" => "often", "items" => lines + [{ "action" => LOUDER, "name" => "Louder please" }] })
                   end)
      assert_match(/does nothing while the screen is locked/,
                   faults { made(six, "shortlist", shortlist: { "id" => "often", "locked" => true }) }.dig(0, 1))
      assert_match(/no shortlist while its screen is locked/,
                   faults do
                     made(phone, "shortlist",
                          shortlist: { "name" => "Desk", "host" => "desk", "locked" => true, "items" => lines })
                   end.dig(0, 1))
      assert_equal([["/change/items", "a shortlist needs at least one line"]],
                   faults { made(phone, "shortlist", shortlist: { "name" => "Empty", "host" => "pocket", "items" => [] }) })
    end

    def test_a_shortlist_that_is_stepped_through_is_worked_by_the_button_that_opens_it
      list = made(desk, "shortlist",
                  shortlist: { "name" => "Log", "host" => "desk", "works" => "step",
                               "items" => [{ "action" => NEXT }, { "action" => HELP }] })
      opened = made(list, "open_shortlist", shortlist: "log", button: mouse("back"), gesture: "long_press")
      button = opened.button(mouse("back")).index
      events = [[0, :down], [900, :up], [2000, :down], [2100, :up], [3000, :down], [3900, :up], [5000, :down], [5100, :up],
                [6000, :end]]
      rows = Press::Replay.run(opened, events.map { |ms, kind| [ms * 1000, [kind, kind == :end ? nil : button, nil]] })
      fired = rows.select { |one| one.phase == "fire" }.map do |one|
        [one.gesture, one.mode, one.action["do"] || one.action["how"] || one.action["kind"]]
      end
      assert_equal [%w[long_press base lock], %w[tap log next], %w[long_press log take], %w[tap base builtin]], fired
      as_host = made(opened, "shortlist", shortlist: { "id" => "log", "works" => "open" })
      assert_equal({ "kind" => "shortlist", "shortlist" => "log" },
                   as_host.assignments.find { |one| one.gesture == "long_press" && one.mode == "base" }.action)
      gone = made(opened, "remove_shortlist", id: "log")
      assert_equal([%w[tap builtin]], gone.assignments.map { |one| [one.gesture, one.action["kind"]] })
      assert_equal opened.document["assignments"].to_set,
                   made(gone, "bring_back", id: "shortlist:log").document["assignments"].to_set
      assert_match(/does not exist on a television/, faults do
        made(list, "open_shortlist", shortlist: "log", button: on_remote("ok"), gesture: "long_press")
      end.dig(0, 1))
      two = add(Fitting.read(list.document.merge("hosts" => [*HOSTS,
                                                             { "id" => "den", "name" => "Den", "system" => "computer" }])),
                "switch", host: "den")
      assert_equal ["the shortlist Log is shown on Computer"],
                   faults {
                     made(two, "open_shortlist", shortlist: "log", button: two.devices.last.buttons.first.ref, gesture: "tap")
                   }.map(&:last)
    end

    def test_cues_are_those_that_something_of_the_client_can_give
      told = result(desk, "cues",
                    cues: { "long_press" => %w[hear], "mode_begins" => %w[hear see],
                            "quiet" => { "from" => "21:00", "to" => "07:00" } })
      assert_equal %w[hear], told.fitting.cues["long_press"]
      assert_includes told.words, "Cue when a mode begins: hear, see."
      assert_equal([["/change/cues", "nothing of this client’s can give that: feel"]], faults do
        made(add(bare, "mouse-five", host: "desk"), "cues", cues: { "done" => %w[feel] })
      end)
      assert_equal %w[feel], made(desk, "cues", cues: { "done" => %w[feel] }).cues["done"], "the remote vibrates"
      none = made(told.fitting, "cues", cues: { "long_press" => [], "mode_begins" => [], "quiet" => nil })
      refute none.document.key?("cues")
    end

    def test_the_actions_of_modes_and_shortlists_are_found_among_the_others
      fitting = made(made(desk, "mode", mode: { "name" => "Reading" }), "shortlist",
                     shortlist: { "name" => "Log", "host" => "desk", "works" => "step", "items" => [{ "action" => NEXT }] })
      catalogue = KNOWLEDGE.catalogue.of(fitting)
      names = catalogue.entries.select { |one| %w[modes shortlists].include?(one.group) }.map(&:name)
      assert_equal ["Reading on or off", "Reading for the next press", "Reading as long as held", "Back to usual",
                    "Open the shortlist Log",
                    "Next line of Log", "Line before in Log", "Do the marked line of Log", "Leave Log"], names
      assert_equal "Reading on or off",
                   KNOWLEDGE.search.find(Search::Topics.of_actions(fitting, KNOWLEDGE.of(fitting)), "reading mode").first.name
    end
  end
end
