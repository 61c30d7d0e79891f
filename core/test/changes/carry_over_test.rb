# frozen_string_literal: true

require_relative "../kinds_data"

module Kippen
  # Devices of another client, another host or a file, with what is assigned on them; and a fitting that a file replaces.
  class CarryOverTest < CoreTest
    include KindsData

    DEMO = Dir[File.expand_path("../../../demo/*.fitting.json", __dir__)].to_h do |file|
      [File.basename(file, ".fitting.json"), Fitting.read(JSON.parse(File.read(file)))]
    end
    HELP = { "kind" => "help" }.freeze

    def carried(here, from, devices, **more)
      result(here, "carry_over", document: from.document, devices:, **more)
    end

    def jobs(fitting, device)
      fitting.device(device).buttons.flat_map { |button| fitting.assigned(button.ref) }.map do |one|
        [one.button.split("/").last, one.gesture, one.place, one.mode, one.action]
      end
    end

    def spots(jobs) = jobs.map { |job| job.first(2) }.sort

    # Every device of each client that can be used at a host of each other one: what was here stays as it was; what comes is all
    # there or told; its timing is what it was, or moved to the nearest that can be set there and told.
    def test_every_device_of_the_demo_onto_every_other_client
      pairs = DEMO.values.permutation(2).flat_map do |here, from|
        from.devices.product(here.hosts).map { |device, host| [here, from, device, host] }
      end
      tried = pairs.count { |here, from, device, host| goes_along?(here, from, device, host) }
      assert_operator tried, :>, 40
    end

    def goes_along?(here, from, device, host)
      done = carried(here, from, [{ "id" => device.id }], host: host.id)
    rescue Invalid => e
      assert_match(/can't be used at/, e.faults.first.message)
      false
    else
      after = done.fitting
      one = (after.devices.map(&:id) - here.devices.map(&:id)).then { |ids| after.device(ids.fetch(0)) }
      assert_equal here.list("assignments"), after.list("assignments").first(here.list("assignments").size)
      of_there = jobs(from, device.id)
      assert_operator jobs(after, one.id).size + done.left_out.size, :>=, of_there.size
      if done.left_out.empty?
        assert_equal of_there.map { |job| job.first(2) }.sort, jobs(after, one.id).map { |job|
          job.first(2)
        }.sort
      end
      assert_equal timing(from, device), timing(after, one) if done.notes.empty?
      true
    end

    def timing(fitting, device)
      device.buttons.map { |button| fitting.timing(button).settings.except(*Changes::Copy::LEVELS) }
    end

    def test_what_is_spoken_of_comes_along_under_an_id_of_its_own_or_is_what_is_there_by_that_name
      from = Fitting.read(
        "kippen" => "fitting/1", "hosts" => HOSTS,
        "apps" => [{ "id" => "mail", "name" => "Letterbox" }, { "id" => "own", "name" => "Kettle" }],
        "modes" => [{ "id" => "reading", "name" => "Reading" }, { "id" => "slow", "name" => "Slow" }],
        "places" => [{ "id" => "p", "app" => "mail", "name" => "Letters" }],
        "devices" => [{ "id" => "s", "name" => "Switch", "kind" => "switch", "host" => "desk",
                        "buttons" => [{ "id" => "press" }] }],
        "assignments" => [
          { "button" => "s/press", "gesture" => "tap", "action" => { "kind" => "mode", "mode" => "reading", "how" => "lock" } },
          { "button" => "s/press", "gesture" => "tap", "place" => "p", "action" => { "kind" => "app", "app" => "own" } },
          { "button" => "s/press", "gesture" => "tap", "mode" => "reading", "action" => { "kind" => "mode", "how" => "clear" } }
        ]
      )
      here = bare("apps" => [{ "id" => "letters", "name" => "letterbox" }, { "id" => "own", "name" => "Bath" }],
                  "modes" => [{ "id" => "r", "name" => "Reading" }],
                  "devices" => [{ "id" => "switch", "name" => "Switch", "host" => "desk", "buttons" => [{ "id" => "press" }] }])
      after = carried(here, from, [{ "id" => "s" }], host: "desk").fitting
      assert_equal ["Switch", "Switch 2"], after.devices.map(&:name)
      assert_equal([%w[r Reading]], after.modes.map { |mode| [mode.id, mode.name] })
      place = after.places.fetch(0)
      assert_equal %w[letters Letters], [place.app, place.name]
      assert_equal [["press", "tap", "everywhere", "base", { "kind" => "mode", "mode" => "r", "how" => "lock" }],
                    ["press", "tap", place.id, "base", { "kind" => "app", "app" => "kettle" }],
                    ["press", "tap", "everywhere", "r", { "kind" => "mode", "how" => "clear" }]], jobs(after, "switch-2")
      some = carried(here, from, [{ "id" => "s" }], host: "desk", places: []).fitting
      assert_empty some.places
      assert_equal 2, jobs(some, "switch-2").size
      assert_empty jobs(carried(here, from, [{ "id" => "s" }], host: "desk", assignments: false).fitting, "switch-2")
    end

    def test_onto_a_device_that_is_there_in_place_of_what_it_had
      long = made(with_devices("grip"), "assign", button: "squeeze-grip-left-hand/squeeze", gesture: "long_press", action: HELP)
      from = made(long, "timing", button: "squeeze-grip-left-hand/squeeze", setting: "long_press_ms", value: 800)
      here = made(with_devices("grip"), "assign", button: "squeeze-grip-left-hand/squeeze", gesture: "double_tap", action: HELP)
      sent = [{ "id" => "squeeze-grip-left-hand", "onto" => "squeeze-grip-left-hand" }]
      after = carried(here, from, sent, host: "desk").fitting
      assert_equal jobs(from, "squeeze-grip-left-hand"), jobs(after, "squeeze-grip-left-hand")
      assert_equal 800_000, after.timing(after.buttons.first).long_press_us
      assert_equal(500_000, carried(here, from, sent, host: "desk", timing: false).fitting.then do |one|
        one.timing(one.buttons.first).long_press_us
      end)
      assert_equal([["/change/devices/0/onto", "Squeeze grip, left hand is on another host: choose one of the host it comes to"]],
                   faults { carried(here, from, sent, host: "tv") })
    end

    def test_a_kind_of_ones_own_comes_along
      document = KINDS.find("switch").data.merge("id" => "own-switch", "name" => "Chin plate")
      from = add(made(bare, "kind", document:), "own-switch")
      after = carried(bare, from, [{ "id" => from.devices.first.id }], host: "desk").fitting
      assert_equal(["own-switch"], after.list("kinds").map { |kind| kind["id"] })
      twice = carried(after, from, [{ "id" => from.devices.first.id }], host: "desk").fitting
      assert_equal 1, twice.list("kinds").size
      other = made(bare, "kind", document: document.merge("name" => "Another"))
      third = carried(other, from, [{ "id" => from.devices.first.id }], host: "desk").fitting
      assert_equal third.list("kinds").last["id"], third.devices.first.kind
      assert_equal "Chin plate", third.list("kinds").last["name"]
    end

    def test_what_is_refused_says_where
      from = with_devices("grip")
      assert_equal([["/change/host", 'unknown host "nowhere"']], faults do
        carried(bare, from, [{ "id" => from.devices[0].id }], host: "nowhere")
      end)
      assert_equal([["/change/devices/0/id", 'no device "x"']], faults { carried(bare, from, [{ "id" => "x" }], host: "desk") })
      broken = Struct.new(:document).new({ "kippen" => "fitting/1", "devices" => 3 })
      assert_equal(["/change/document/devices"], faults { carried(bare, broken, [], host: "desk") }.map(&:first))
    end

    def test_a_file_replaces_all_of_it_unknown_members_kept
      document = with_devices("grip").document.merge("of_another" => { "kept" => true })
      assert_equal document, made(with_devices("remote"), "import", document:).document
      assert_equal([["/change/document/kippen", 'is "x", must be "fitting/1"']], faults do
        made(bare, "import", document: { "kippen" => "x" })
      end)
    end
  end
end
