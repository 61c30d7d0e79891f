# frozen_string_literal: true

require_relative "../check/checking"

module Kippen
  # What is put on a device, what it can't carry and what happens instead, and the fitting that then works.
  class CarriedTest < CoreTest
    include Checking

    REMOTE = "television-remote"
    NEXT_PAGE = { "kind" => "keys", "keys" => ["PageDown"] }.freeze

    def television = @television ||= add(bare, "remote", host: "tv")
    def carried(fitting, id = REMOTE) = Handover::Carried.new(fitting, fitting.device(id), KNOWLEDGE)
    def left(fitting, id = REMOTE, **heard) = Handover::LeftBehind.new(carried(fitting, id), KNOWLEDGE, **heard).told
    def in_force(fitting, id = REMOTE) = Handover::InForce.of(fitting, { id => carried(fitting, id).document })

    def test_only_what_is_on_its_own_buttons_and_nothing_that_is_off
      given = assign(assign(desk, LEFT, "double_tap", LOUDER), "#{MOUSE}/middle", "tap", LOUDER)
      given = made(given, "switch", button: "#{MOUSE}/middle", gesture: "tap", off: true)
      both = add(given, "switch", host: "desk")
      there = both.devices.map(&:id) - [MOUSE]
      both = assign(both, both.device(there[0]).buttons[0].ref, "tap", HELP)
      assert_equal([[LEFT, "tap"], [LEFT, "double_tap"], [RIGHT, "tap"], [RIGHT, "long_press"]],
                   carried(both, MOUSE).document["assignments"].map { |one| one.values_at("button", "gesture") })
      assert_empty carried(both, MOUSE).left
    end

    # Compared by what is carried: not by names, notes or what other devices do.
    def test_a_name_is_no_difference_and_a_boundary_is
      digest = carried(desk, MOUSE).digest
      named = made(desk, "device", device: MOUSE, set: { "name" => "Hollis's mouse" })
      assert_equal digest, carried(named, MOUSE).digest
      assert_equal digest, Handover.digest(JSON.parse(JSON.generate(carried(desk, MOUSE).document)).to_a.reverse.to_h)
      refute_equal digest, carried(made(desk, "timing", button: LEFT, setting: "tap_gap_ms", value: 400), MOUSE).digest
      refute_equal digest, carried(made(desk, "device", device: MOUSE, set: { "off" => true }), MOUSE).digest
    end

    def test_a_gesture_it_does_not_know
      wanted = assign(television, "#{REMOTE}/up", "long_press", HELP)
      wanted = amended(wanted, "assignments" => [*wanted.document["assignments"],
                                                 { "button" => "#{REMOTE}/down", "gesture" => "triple_tap", "action" => HELP }])
      told = left(wanted)
      assert_equal([["gesture", { "button" => "#{REMOTE}/down", "gesture" => "triple_tap" }, 0, 0]],
                   told.map { |one| [one.id, one.where, one.changed, one.of] })
      assert_equal "Television remote, Down: Television remote knows no triple-tap, so “Ask for help” is not done by it. " \
                   "Of that button no presses are known. It is on the long-press of Television remote, Up too.", told[0].what
      assert_equal %w[tap long_press], in_force(wanted).assignments.map(&:gesture)
    end

    # 600 ms is what it can't be set to; presses between both would come out otherwise.
    def test_a_value_it_can_not_be_set_to_in_figures_from_presses
      wanted = assign(television, "#{REMOTE}/up", "long_press", HELP)
      wanted = amended(wanted, "button_timing" => { "#{REMOTE}/up" => { "long_press_ms" => 580 } })
      told = left(wanted, trials: presses("#{REMOTE}/up", 450, 540, 560, 900))
      assert_equal([["setting", 2, 4]], told.map { |one| [one.id, one.changed, one.of] })
      assert_match(/the nearest is 500 ms\. Of 4 presses, 2 would come out otherwise\.\z/, told[0].what)
      assert_equal 500, carried(wanted).document["timing"]["#{REMOTE}/up"]["long_press_ms"]
      assert_equal 500_000, in_force(wanted).timing(in_force(wanted).button("#{REMOTE}/up")).long_press_us
    end

    def presses(button, *lengths)
      trials = lengths.map { |ms| { "intended" => "long_press", "trace" => [[0, "down"], [ms * 1000, "up"]] } }
      document = { "kippen" => "trials/1", "button" => { "id" => button }, "offered" => %w[tap long_press], "trials" => trials }
      [Formats::TrialsJson.read(JSON.generate(document))]
    end

    # Room for one mode: the first stays, and what speaks of the other goes with it.
    def test_more_modes_than_it_has_room_for
      two = %w[Reading Bells].reduce(television) { |fitting, name| made(fitting, "mode", mode: { "name" => name }) }
      ids = two.modes.map(&:id)
      two = amended(two, "assignments" => [
                      { "button" => "#{REMOTE}/up", "gesture" => "long_press",
                        "action" => { "kind" => "mode", "mode" => ids[0], "how" => "lock" } },
                      { "button" => "#{REMOTE}/up", "gesture" => "tap", "mode" => ids[0], "action" => LOUDER },
                      { "button" => "#{REMOTE}/down", "gesture" => "long_press",
                        "action" => { "kind" => "mode", "mode" => ids[1], "how" => "lock" } },
                      { "button" => "#{REMOTE}/down", "gesture" => "tap", "mode" => ids[1], "action" => LOUDER }
                    ])
      told = left(two)
      assert_equal([["mode", { "device" => REMOTE, "mode" => ids[1] }]], told.map { |one| [one.id, one.where] })
      assert_equal "Television remote has no room for one more mode: “Bells” is not there, nor what is assigned in it.",
                   told[0].what
      assert_equal([ids[0]], carried(two).document["modes"].map { |one| one["id"] })
      assert_equal ["#{REMOTE}/up"], in_force(two).assignments.map(&:button).uniq
    end

    # A ring of the kind's own data: it types nothing, and knows no mode that is taken for the next press.
    def ring(assignments)
      phone = { "id" => "phone", "name" => "Phone", "system" => "phone" }
      base = add(bare("hosts" => [phone], "modes" => [{ "id" => "m", "name" => "Reading" }]), "ring", host: "phone")
      amended(base, "assignments" => assignments.map { |one| one.merge("button" => "#{base.devices[0].id}/press") })
    end

    def test_actions_and_ways_into_a_mode_that_it_does_not_know
      full = ring([{ "gesture" => "tap", "action" => { "kind" => "text", "text" => "Good morning" } },
                   { "gesture" => "double_tap", "action" => { "kind" => "mode", "mode" => "m", "how" => "latch" } },
                   { "gesture" => "long_press", "action" => { "kind" => "mode", "mode" => "m", "how" => "lock" } }])
      id = full.devices[0].id
      told = left(full, id)
      assert_equal %w[action way], told.map(&:id)
      assert_match(/can't do “Type “Good morning””, so the tap of .* does nothing of it\./, told[0].what)
      assert_equal(%w[long_press], carried(full, id).document["assignments"].map { |one| one["gesture"] })
    end

    # What its memory doesn't hold stays behind, help last of all.
    def test_a_memory_that_is_too_small
      long = { "kind" => "call", "who" => "x" * 2000 }
      full = ring([{ "gesture" => "tap", "action" => long }, { "gesture" => "double_tap", "action" => HELP },
                   { "gesture" => "long_press", "action" => long }])
      id = full.devices[0].id
      most = KNOWLEDGE.kinds.find("ring").carries("phone")["bytes"]
      assert_operator JSON.generate(carried(full, id).document).bytesize, :<=, most
      assert_equal(%w[room], left(full, id).map(&:id))
      assert_equal(%w[tap double_tap], carried(full, id).document["assignments"].map { |one| one["gesture"] })
    end

    # Help stays, and what must be done; then as it stands.
    def test_more_than_there_is_room_for
      most = KNOWLEDGE.kinds.find("remote").carries("television")["assignments"]
      keys = %w[up down left right ok back volume-up volume-down channel-up channel-down]
      spots = keys.product(%w[tap double_tap long_press]).first(most + 2)
      full = amended(television, "assignments" => spots.each_with_index.map do |(key, gesture), index|
        { "button" => "#{REMOTE}/#{key}", "gesture" => gesture, "action" => index == most + 1 ? HELP : LOUDER }
      end)
      told = left(full)
      assert_equal %w[room room], told.map(&:id)
      assert_equal most, carried(full).document["assignments"].size
      assert_includes carried(full).document["assignments"].map { |one| one["action"] }, HELP
      refute(told.any? { |one| one.what.include?("Ask for help") })
    end

    def test_with_nothing_on_it_a_device_does_what_it_does_by_itself
      nothing = Handover::InForce.of(desk, { MOUSE => nil })
      assert_empty nothing.assignments
      assert_equal desk.devices.map(&:id), nothing.devices.map(&:id)
      assert_same desk, Handover::InForce.of(desk, {})
    end

    # What was handed over works, whatever the desk says since: without its mode, a place made anew, no such button.
    def test_what_is_on_it_works_by_what_it_is
      moded = made(desk, "mode", mode: { "name" => "Reading" })
      mode = moded.modes[0].id
      placed = made(moded, "place", place: { "name" => "In Rookery", "app" => "rookery" })
      place = placed.places[0].id
      full = assign(assign(placed, "#{MOUSE}/middle", "tap", { "kind" => "mode", "mode" => mode, "how" => "lock" }), LEFT,
                    "double_tap", LOUDER, place:)
      on = { MOUSE => carried(full, MOUSE).document }
      anew = amended(desk, "places" => [{ "id" => "anew", "app" => "rookery" }])
      works = Handover::InForce.of(anew, on)
      assert_equal [[mode], ["anew"]], [works.modes.map(&:id), works.places.map(&:id)]
      assert_equal "anew", works.assigned(LEFT)[0].place
      fewer = desk.document["devices"].map do |one|
        one.merge("buttons" => one["buttons"].reject { |button| button["id"] == "middle" })
      end
      less = Handover::InForce.of(amended(desk, "devices" => fewer), on)
      assert_equal [LEFT, RIGHT], less.assignments.map(&:button).uniq.sort
    end

    # What is the same on the device and at the desk differs in nothing.
    def test_a_difference_between_what_is_on_it_and_the_desk
      on = Handover::InForce.of(desk, { MOUSE => carried(desk, MOUSE).document })
      later = assign(desk, LEFT, "double_tap", LOUDER)
      now = Handover::InForce.of(later, { MOUSE => carried(later, MOUSE).document })
      was = Handover::InForce.of(later, { MOUSE => carried(desk, MOUSE).document })
      name = "Mouse with five buttons, Left button"
      assert_equal ["#{name}, double-tap: Louder.", "#{name}, tap: Click."],
                   Changes::Differences.new(was, now, KNOWLEDGE).words
      assert_empty Changes::Differences.new(on, on, KNOWLEDGE).words
    end
  end
end
