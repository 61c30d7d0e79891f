# frozen_string_literal: true

require_relative "../kinds_data"

module Kippen
  # Adding, changing, taking out and bringing back devices and buttons.
  class DevicesTest < CoreTest
    include KindsData

    BOX = "interface-box-for-switches"

    def devices(fitting) = fitting.devices.map { |device| [device.id, device.name] }

    def test_several_of_a_kind_get_names_to_tell_them_apart
      assert_equal [["single-switch", "Single switch"], ["single-switch-2", "Single switch 2"],
                    ["single-switch-3", "Single switch 3"]],
                   devices(with_devices("switch", "switch", "switch"))
    end

    def test_a_variant_has_its_buttons_and_its_name
      assert_equal %w[up right down left], with_devices("direction-pad").devices.first.buttons.map(&:id)
      eight = add(bare, "direction-pad", variant: "eight")
      assert_equal ["Direction pad, eight ways", 8], [eight.devices.first.name, eight.devices.first.buttons.size]
    end

    def test_what_is_refused_says_why
      assert_equal([["/change/host", "Phone can't be used at a computer"]], faults { add(bare, "phone", host: "desk") })
      assert_equal([["/change/host", "add a host first: what the device is connected to"]],
                   faults { add(Fitting.read("kippen" => "fitting/1"), "switch") })
      assert_equal([["/change/host", 'unknown host "attic"']], faults { add(bare, "switch", host: "attic") })
    end

    def test_one_place_holds_one_device
      seated = add(with_devices("switch-box"), "switch", on: { "device" => BOX, "place" => "1" })
      assert_equal([["/devices", "single-switch and single-switch-2 sit in the same place"]],
                   faults { add(seated, "switch", on: { "device" => BOX, "place" => "1" }) })
      assert_equal [["/devices", "#{BOX} sits on itself"], ["/devices", "single-switch sits on itself"]],
                   faults {
                     made(seated, "device", device: BOX, set: { "on" => { "device" => "single-switch", "place" => "x" } })
                   }.sort
    end

    def test_what_is_plugged_in_goes_along_to_another_host
      hosts = HOSTS + [{ "id" => "slate", "system" => "tablet" }]
      seated = add(add(bare("hosts" => hosts), "switch-box"), "switch", on: { "device" => BOX, "place" => "1" })
      moved = made(seated, "device", device: BOX, set: { "host" => "slate" })
      assert_equal %w[slate slate], moved.devices.map(&:host)
    end

    def test_a_device_comes_back_with_everything_it_had
      full = with_jobs(add(with_devices("switch-box"), "switch", on: { "device" => BOX, "place" => "1" }), "single-switch/press")
      full = made(full, "timing", button: "single-switch/press", setting: "long_press_ms", value: 900)
      out = made(full, "take_out", id: BOX)
      assert_equal [[], []], [out.devices, out.assignments]
      back = made(out, "bring_back", id: BOX)
      assert_equal full.document.merge("taken_out" => []), back.document
    end

    def test_a_button_comes_back_to_its_place
      full = with_jobs(with_devices("mouse-five"), "mouse-with-five-buttons/middle")
      out = made(full, "take_out", id: "mouse-with-five-buttons/middle")
      assert_nil out.button("mouse-with-five-buttons/middle")
      assert_empty out.assignments
      back = made(out, "bring_back", id: "mouse-with-five-buttons/middle")
      assert_equal full.buttons.map(&:ref), back.buttons.map(&:ref)
      assert_equal full.assignments, back.assignments
    end

    def test_a_button_of_a_device_that_is_gone_says_what_comes_first
      out = made(with_devices("switch"), "take_out", id: "single-switch/press")
      gone = made(out, "take_out", id: "single-switch")
      assert_equal([["/change/id", "its device single-switch is not there: bring that back first"]],
                   faults { made(gone, "bring_back", id: "single-switch/press") })
      assert_equal([["/change/id", 'nothing by the name "mouse" was taken out']],
                   faults { made(gone, "bring_back", id: "mouse") })
    end

    def test_the_name_of_something_taken_out_is_not_given_again
      out = made(with_devices("switch"), "take_out", id: "single-switch")
      assert_equal "single-switch-2", add(out, "switch").devices.last.id
    end

    def test_a_found_button_is_added_and_changed
      fitting = made(with_devices("mouse-five"), "add_button", device: "mouse-with-five-buttons",
                                                               button: { "name" => "Thumb ring", "kind" => "contact",
                                                                         "codes" => ["pointer:7"] })
      button = fitting.buttons.last
      assert_equal ["mouse-with-five-buttons/thumb-ring", ["pointer:7"]], [button.ref, button.codes]
      changed = made(fitting, "button", button: button.ref, set: { "name" => "Ring", "off" => true, "id" => "not-this" })
      assert_equal ["mouse-with-five-buttons/thumb-ring", "Ring", true],
                   [changed.buttons.last.ref, changed.buttons.last.name, changed.buttons.last.off]
    end

    def test_a_second_host_leaves_no_device_without_one
      one = Fitting.read("kippen" => "fitting/1", "hosts" => [HOSTS.first], "devices" => [{ "id" => "thing" }])
      two = made(one, "host", host: { "name" => "Phone", "system" => "phone" })
      assert_equal ["desk", %w[desk phone]], [two.devices.first.host, two.hosts.map(&:id)]
    end

    def test_a_host_goes_when_nothing_is_on_it
      fitting = bare("devices" => [{ "id" => "thing", "name" => "Thing", "host" => "desk" }],
                     "wants" => [{ "id" => "w", "what" => "See the news", "hosts" => ["tv"] }])
      assert_equal([["/hosts", "Thing still on it: move or take out first"]], faults { made(fitting, "remove_host", id: "desk") })
      assert_equal([["/hosts", "“See the news” wanted at this host alone: say first where else, or remove it"]], faults do
        made(fitting, "remove_host", id: "tv")
      end)
      both = amended(fitting, "wants" => [{ "id" => "w", "what" => "See the news", "hosts" => %w[desk tv], "extra" => nil }])
      without = made(both, "remove_host", id: "tv")
      assert_equal [["desk"], [{ "id" => "w", "what" => "See the news", "hosts" => %w[desk], "extra" => nil }]],
                   [without.hosts.map(&:id), without.list("wants")]
    end

    def with_jobs(fitting, button)
      made(fitting, "assign", button:, gesture: "long_press", action: { "kind" => "help" })
    end
  end
end
