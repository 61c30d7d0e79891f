# frozen_string_literal: true

require_relative "../kinds_data"

module Kippen
  # Out, back and to another host: as far as there is room, and never where it can't be.
  class TakingOutTest < CoreTest
    include KindsData

    BOX = "interface-box-for-switches"
    HELP = { "kind" => "help" }.freeze

    def box = add(add(bare, "switch-box", host: "desk"), "switch", host: "desk", on: { "device" => BOX, "place" => "1" })
    def out(fitting, id) = made(fitting, "take_out", id:)
    def back(fitting, id, **more) = result(fitting, "bring_back", id:, **more)

    # A remote carries one mode at a television: while one lay aside, another took its room.
    def test_a_mode_comes_back_off_where_there_is_no_room_for_it_any_more
      fitting = add(bare("modes" => %w[quiet reading].map { |id| { "id" => id } }), "remote", host: "tv")
      take = lambda do |mode, button, there|
        action = { "kind" => "mode", "mode" => mode, "how" => "lock" }
        made(there, "assign", button: "television-remote/#{button}", gesture: "tap", action:)
      end
      meanwhile = take["reading", "channel-up", made(take["quiet", "channel-down", fitting], "remove_mode", id: "quiet")]
      again = back(meanwhile, "mode:quiet")
      off = again.fitting.assignments.to_h { |one| [one.button.split("/").last, one.off] }
      assert_equal({ "channel-up" => false, "channel-down" => true }, off)
      assert_match(/channel down, tap: switched off, and kept/i, again.left_out.join)
    end

    def test_its_seat_is_taken_meanwhile
      out = out(box, "single-switch")
      other = add(out, "switch", host: "desk", on: { "device" => BOX, "place" => "1" })
      came = back(other, "single-switch")
      assert_nil came.fitting.device("single-switch").seat
      assert_equal ["Single switch comes without its place (#{BOX}, 1): that is gone or taken."], came.left_out
    end

    def test_what_it_sat_on_is_at_another_host_meanwhile
      start = add(add(bare("hosts" => [*HOSTS, { "id" => "spare", "system" => "computer" }]), "switch-box", host: "desk"),
                  "switch", host: "desk", on: { "device" => BOX, "place" => "1" })
      moved = made(out(start, "single-switch"), "device", device: BOX, set: { "host" => "spare" })
      came = back(moved, "single-switch")
      assert_equal([nil, "desk"], came.fitting.device("single-switch").then { |device| [device.seat, device.host] })
      assert_equal ["Single switch comes without its place (#{BOX}, 1): that is gone or taken."], came.left_out
    end

    # In whatever order they stand.
    def test_what_was_taken_out_together_sits_together_again
      aside = out(box, BOX)
      turned = aside.list("taken_out").map { |bundle| bundle.merge("devices" => bundle["devices"].reverse) }
      came = back(amended(aside, "taken_out" => turned), BOX)
      assert_equal [BOX, []], [came.fitting.device("single-switch").seat&.device, came.left_out]
    end

    # What the follower had of its own while its partner was away gives way to the partner's, and is kept.
    def test_what_a_follower_had_of_its_own_meanwhile_is_kept
      grips = %w[Left Right].inject(bare) { |held, name| add(held, "grip", host: "desk", name:) }
      away = out(made(grips, "copy", from: "left", to: "right", mirror: true, lasting: true), "left/squeeze")
      own = amended(away, "assignments" => [*away.list("assignments"),
                                            { "button" => "right/squeeze", "gesture" => "tap", "action" => HELP }])
      came = back(own, "left/squeeze")
      assert_equal ["Right follows again: what it had of its own (1) stays aside."], came.left_out
      assert_equal [[], ["right/squeeze"]],
                   [came.fitting.list("assignments"), came.fitting.list("taken_out").map { |one| one["id"] }]

      still = back(came.fitting, "right/squeeze")
      assert_equal [Words.say(:stays_aside, count: 1, name: "Right")], still.left_out
      cut = amended(came.fitting, "links" => [])
      assert_equal([HELP], back(cut, "right/squeeze").fitting.list("assignments").map { |one| one["action"] })
    end

    # It leads again, or follows again, where nothing of its own was put on the follower meanwhile.
    def test_a_link_comes_back_where_nothing_stands_against_it
      grips = add(add(bare, "grip", variant: "left", host: "desk"), "grip", variant: "right", host: "desk")
      left, right = grips.devices.map(&:id)
      held = made(grips, "assign", button: "#{left}/squeeze", gesture: "long_press", action: HELP)
      linked = made(held, "copy", from: left, to: right, mirror: true, lasting: true)
      [left, right].each { |id| assert_equal linked.list("links"), back(out(linked, id), id).fitting.list("links") }
      own = made(out(linked, left), "assign", button: "#{right}/squeeze", gesture: "double_tap", action: HELP)
      came = back(own, left)
      assert_equal [[], own.list("assignments"), ["#{right} no longer follows #{left}."]],
                   [came.fitting.list("links"), came.fitting.list("assignments").first(3), came.left_out]
    end

    def test_nothing_sits_on_what_is_at_another_host
      hosts = [*HOSTS, { "id" => "spare", "system" => "computer" }]
      fitting = add(add(bare("hosts" => hosts), "switch-box", host: "desk"), "switch", host: "spare")
      assert_equal([["/devices", "single-switch sits on #{BOX}, which is on another host"]],
                   faults do
                     made(fitting, "device", device: "single-switch", set: { "on" => { "device" => BOX, "place" => "1" } })
                   end)
    end

    def test_what_it_sat_on_is_gone
      gone = out(out(box, "single-switch"), BOX)
      assert_nil back(gone, "single-switch").fitting.device("single-switch").seat
    end

    def test_its_place_is_gone
      spot = { "button" => "single-switch/press", "gesture" => "tap", "action" => HELP }
      start = amended(box, "places" => [{ "id" => "letters", "app" => "rookery" }],
                           "assignments" => [spot, spot.merge("place" => "letters", "gesture" => "long_press")])
      later = amended(out(start, "single-switch"), "places" => [])
      came = back(later, "single-switch")
      assert_equal [spot], came.fitting.list("assignments")
      assert_equal [Words.say(:stays_aside, count: 1, name: "Single switch")], came.left_out
      again = back(amended(came.fitting, "places" => start.list("places")), "single-switch")
      assert_equal start.list("assignments"), again.fitting.list("assignments")
      assert_empty again.fitting.list("taken_out")
    end

    def test_its_host_is_gone_and_it_goes_to_no_other_sort
      start = add(bare, "remote", host: "tv")
      gone = made(out(start, "television-remote"), "remove_host", id: "tv")
      assert_equal([["/change/host", "the host it was on is gone: say at which it shall be"]],
                   faults { back(gone, "television-remote") })
      assert_equal "desk", back(gone, "television-remote", host: "desk").fitting.device("television-remote").host
      set = made(gone, "host", host: { "name" => "Set in the kitchen", "system" => "television" })
      assert_equal "set-in-the-kitchen", back(set, "television-remote").fitting.device("television-remote").host
    end

    def test_it_never_comes_to_a_host_that_can_not_have_it
      alone = Fitting.read("kippen" => "fitting/1", "hosts" => [{ "id" => "p", "system" => "phone" }])
      out = out(add(alone, "phone"), "phone")
      now = amended(out, "hosts" => [{ "id" => "p", "system" => "tablet" }])
      assert_equal([["/change/host", "Phone can't be used at a tablet"]], faults { back(now, "phone") })
    end

    def test_what_a_file_says_was_taken_out_is_refused_or_read
      odd = [{ "id" => "a" }, { "id" => "b", "devices" => 5 }, { "id" => "c", "devices" => [{ "id" => 7 }] },
             { "id" => "d", "assignments" => [{}] },
             { "id" => "e", "devices" => [nil] }, { "id" => "f", "button" => { "id" => "x" }, "device" => BOX, "index" => -9 },
             { "id" => "g", "button_timing" => [] },
             { "id" => "h", "devices" => [{ "id" => "h", "host" => "attic", "buttons" => [{}] }] }]
      fitting = amended(box, "taken_out" => odd)
      odd.drop(1).each do |item|
        told = faults { back(fitting, item["id"]) }
        assert(told.any?, item)
      end
      assert_equal odd.drop(1), back(fitting, "a").fitting.list("taken_out"), "nothing was in it"
    end

    def test_another_host_takes_only_what_it_can
      fitting = add(bare("hosts" => [*HOSTS, { "id" => "spare", "system" => "television" }]), "remote", host: "desk")
      ref = "television-remote/left"
      fitting = made(fitting, "assign", button: ref, gesture: "hold", action: HELP)
      fitting = made(fitting, "timing", button: ref, setting: "tap_gap_ms", value: 330)
      moved = result(fitting, "device", device: "television-remote", set: { "host" => "spare" })
      assert_equal([["tap", nil], ["hold", true]],
                   moved.fitting.list("assignments").map { |item| item.values_at("gesture", "off") })
      assert_equal ["Television remote, Left, hold: switched off there. Television remote can’t carry a hold here."],
                   moved.left_out
      assert_equal({ ref => { "tap_gap_ms" => 300 } }, moved.fitting.document["button_timing"])
      assert_match(/it is 300 ms, the nearest that can/, moved.notes.join)
    end

    def test_a_host_becomes_another_kind_of_thing_only_where_its_devices_can_be
      fitting = add(bare("hosts" => [*HOSTS, { "id" => "p", "system" => "phone" }]), "phone", host: "p")
      assert_equal([["/change/host", "Phone can't be used at a tablet"]],
                   faults { made(fitting, "host", host: { "id" => "p", "name" => "P", "system" => "tablet" }) })
      assert_equal([["/change/host", "Phone can't be used at a computer"]],
                   faults { made(fitting, "device", device: "phone", set: { "host" => "desk" }) })
    end
  end
end
