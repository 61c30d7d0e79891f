# frozen_string_literal: true

require_relative "kinds_data"

module Kippen
  # Settings besides buttons: legal values, kept with the host or device, told in words.
  class SettingsTest < CoreTest
    include KindsData

    def fitting = add(bare, "mouse-five", host: "desk")

    def set(of, id, setting, value, on: fitting) = made(on, "setting", of:, id:, setting:, value:)

    def test_the_data_are_whole
      SETTINGS.all.flat_map { |setting| setting.data.fetch("systems", [nil]).map { |system| setting.on(system) } }
        .each do |setting|
        next if setting.data["type"] == "buttons"

        assert_nil setting.fault(setting.data["usual"]), setting.id
        assert [setting.name, setting.data["good_for"], setting.data["costs"]].all? { |words| words.length > 5 }, setting.id
        assert_empty setting.data.fetch("kinds", []).reject { |kind| KINDS.find(kind) }, setting.id
        assert_empty setting.data.fetch("systems", []) - Fitting::ListReader::SYSTEMS, setting.id
      end
    end

    def test_each_host_and_device_has_its_own
      assert_includes SETTINGS.of_host(fitting.host("desk")).map(&:id), "pointer_speed_percent"
      assert_equal ["double_click_ms"], SETTINGS.of_host(fitting.host("tv")).map(&:id)
      assert_includes SETTINGS.of_device(fitting.devices.first).map(&:id), "wheel_lines"
      assert_empty SETTINGS.of_device(add(bare, "switch", host: "desk").devices.first)
    end

    def test_a_value_is_kept_and_taken_back
      set = set("device", "mouse-with-five-buttons", "wheel_lines", 1)
      assert_equal({ "wheel_lines" => 1 }, set.list("devices").first["settings"])
      assert_equal fitting.document, set("device", "mouse-with-five-buttons", "wheel_lines", nil, on: set).document
      assert_equal ["Mouse with five buttons, wheel lines: its own → 1."], Changes::Differences.new(fitting, set, KNOWN).words
      assert_equal ["Mouse with five buttons, wheel lines: 1 → its own."], Changes::Differences.new(set, fitting, KNOWN).words
      assert_equal ["Computer, drag lock: its own → on."],
                   Changes::Differences.new(fitting, set("host", "desk", "drag_lock", true), KNOWN).words
    end

    # The engine knows the host's double-click time by its own member.
    def test_the_double_click_time_is_the_hosts_own
      assert_equal 700, set("host", "desk", "double_click_ms", 700).host("desk").double_click_ms
    end

    # What the host takes and what a device kind says of it are one thing.
    def test_the_double_click_time_is_told_alike
      setting = SETTINGS.find("double_click_ms")
      KINDS.all.product(setting.data["systems"]).each do |kind, system|
        told = kind.data["hosts"][system]&.fetch("double_click_ms") or next
        assert_equal setting.on(system).data.slice("usual", "from", "to"), told, "#{kind.id} on a #{system}"
      end
    end

    # By button, where the device has it.
    def test_some_buttons_of_a_device
      remote = add(bare, "remote", host: "tv")
      setting = SETTINGS.of_device(remote.devices.first).find { |one| one.id == "vibration_buttons" }
      assert_equal remote.devices.first.buttons.map(&:id), setting.data["usual"]
      some = set("device", "television-remote", "vibration_buttons", %w[ok back], on: remote)
      assert_equal({ "vibration_buttons" => %w[ok back] }, some.list("devices").first["settings"])
      assert_includes Changes::Differences.new(remote, some, KNOWN).words.join, "ok, back"
      [[], %w[ok ok], %w[ok fin], "ok"].each do |wrong|
        refused = faults { set("device", "television-remote", "vibration_buttons", wrong, on: remote) }
        assert_equal ["/change/value"], refused.map(&:first), wrong.inspect
      end
    end

    def test_what_is_refused
      {
        ["host", "desk", "pointer_speed_percent", 5] => ["/change/value",
                                                         "is 5, must be a whole number from 10 to 400, in steps of 5"],
        ["host", "desk", "double_click_ms", 90] => ["/change/value",
                                                    "is 90, must be a whole number from 100 to 3000, in steps of 10"],
        ["host", "tv", "double_click_ms", 2000] => ["/change/value",
                                                    "is 2000, must be a whole number from 200 to 1500, in steps of 10"],
        %w[host desk drag_lock yes] => ["/change/value", 'is "yes", must be true or false'],
        %w[device mouse-with-five-buttons wheel_smooth soft] => ["/change/value", 'is "soft", must be one of stepped, smooth'],
        %w[device mouse-with-five-buttons vibration weak] => ["/change/setting",
                                                              'mouse-with-five-buttons has no setting "vibration"'],
        ["host", "attic", "drag_lock", true] => ["/change/id", 'no host "attic"']
      }.each { |given, fault| assert_equal([fault], faults { set(*given) }) }
    end

    def test_settings_of_another_shape_are_refused_when_a_fitting_is_read
      wrong = [{ "id" => "desk", "settings" => { "pointer_speed" => [1] } }]
      assert_equal([["/hosts/0/settings", "must be an object of at most 50 numbers, words, true or false"]], faults do
        Fitting.read(document("hosts" => wrong))
      end)
    end

    def test_a_device_goes_back_to_how_it_came
      ref = "mouse-with-five-buttons/back"
      changed = made(set("device", "mouse-with-five-buttons", "wheel_lines", 1), "assign", button: ref, gesture: "tap",
                                                                                           action: { "kind" => "help" })
      changed = made(changed, "timing", button: ref, setting: "long_press_ms", value: 900)
      changed = made(changed, "button", button: "mouse-with-five-buttons/left", set: { "off" => true })
      back = made(changed, "reset", device: "mouse-with-five-buttons")
      assert_equal fitting.document.merge("assignments" => [], "button_timing" => {}), back.document
      assert_equal([["/change/device", 'no device "attic"']], faults { made(fitting, "reset", device: "attic") })
    end
  end
end
