# frozen_string_literal: true

require_relative "../kinds_data"

module Kippen
  # Getting ready: which steps, in which state, and what a device can't do until then.
  class ReadyTest < CoreTest
    include KindsData

    LATER = "2026-11-25T13:00:00Z"

    def remote(**given) = add(bare, "remote", host: "tv", **given)

    def ready(fitting, contacts = [])
      device = fitting.devices.last
      Kinds::Ready.new(KINDS.of(device), device, fitting.host(device.host), contacts:)
    end

    def states(fitting, contacts = []) = ready(fitting, contacts).steps.to_h { |step| [step.id, step.state] }

    def heard(button, ms, at = LATER) = Kinds::Ready::Contact.new(button:, held_us: ms * 1000, at:)

    def tick(fitting, step, _version_at = NOON)
      made(fitting, "ready", device: fitting.devices.last.id, step:, done: true)
    end

    def test_what_depends_on_another_step_waits_for_it
      assert_equal({ "pair" => "open", "permission" => "later", "firmware" => "later", "first-press" => "open" }, states(remote))
      assert_equal ["Pair it with the television"], ready(remote).steps[1].needs
      assert_equal({ "pair" => "done", "permission" => "open", "firmware" => "open", "first-press" => "open" },
                   states(tick(remote, "pair")))
    end

    def test_what_it_can_not_do_yet_is_told
      assert_equal ["The television does not hear it yet", "No key of it can be caught", "Double-taps on it can't be told apart",
                    "It was not heard yet: press one of its buttons"], ready(remote).stops
    end

    def test_by_whom_and_when
      step = ready(tick(remote, "pair")).steps.first
      assert_equal ["done", "Hollis", NOON], [step.state, step.by, step.at]
      assert_equal "open", states(made(tick(remote, "pair"), "ready", device: "television-remote", step: "pair",
                                                                      done: false))["pair"]
    end

    def test_steps_differ_by_host_and_version
      assert_equal %w[first-press], ready(add(bare, "remote", host: "desk")).steps.map(&:id)
      assert_equal %w[pair permission first-press], ready(remote(version: "2.0")).steps.map(&:id)
      assert_includes ready(remote(version: "1.10")).steps.map(&:id), "firmware"
    end

    def test_a_step_comes_back_when_the_version_changes
      done = tick(tick(remote(version: "2.0"), "pair"), "permission")
      assert_equal "done", states(done)["permission"]
      changed = made(done, "device", device: "television-remote", set: { "version" => "2.1" })
      step = ready(changed).steps.find { |one| one.id == "permission" }
      assert_equal ["open", "2.0"], [step.state, step.changed_from]
      assert_equal "done", states(changed)["pair"], "this one does not depend on the version"
    end

    def test_what_kippen_hears_it_sees_for_itself
      assert_equal "seen", states(remote, [heard("up", 80)])["first-press"]
      assert_equal(%w[open seen], [3999, 4000].map { |ms| states(remote, [heard("volume-down", ms)])["pair"] })
      assert_equal "open", states(remote, [heard("up", 5000)])["pair"], "another button"
    end

    def test_what_stands_for_a_button_is_heard_but_holds_nothing
      stood = heard("volume-down", 5000).tap { |contact| contact.stands_in = true }
      assert_equal %w[open seen], states(remote, [stood]).values_at("pair", "first-press")
    end

    def test_what_was_heard_before_the_version_changed_counts_no_more
      changed = made(remote, "device", device: "television-remote", set: { "version" => "2.0" })
      assert_equal "open", states(changed, [heard("up", 80, "2026-11-25T11:59:59Z")])["first-press"]
      assert_equal "seen", states(changed, [heard("up", 80, LATER)])["first-press"]
    end

    def test_of_two_ways_to_start_one_is_enough
      pad = add(bare, "gamepad")
      assert_equal %w[charge start-pad start-keyboard pad-pair pad-firmware pad-levels], ready(pad).steps.map(&:id)
      assert_equal %w[charge start-keyboard pad-pair pad-firmware pad-levels], ready(tick(pad, "start-keyboard")).steps.map(&:id)
    end

    # Whichever way it was started, it was; before that nothing can be paired.
    def test_what_needs_one_of_two_ways_waits_for_either
      pad = tick(add(bare, "gamepad"), "charge")
      pairing = ->(fitting) { ready(fitting).steps.find { |one| one.id == "pad-pair" } }
      assert_equal ["later", ["Start it as a gamepad, or: Start it as a keyboard"]], pairing[pad].to_h.values_at(:state, :needs)
      %w[start-pad start-keyboard].each do |way|
        assert_equal ["open", []], pairing[tick(pad, way)].to_h.values_at(:state, :needs)
      end
      assert_equal "later", pairing[made(tick(pad, "start-pad"), "ready", device: "small-gamepad", step: "start-pad",
                                                                          done: false)].state
    end

    def test_versions_are_compared_as_numbers
      cases = [["1.9", "1.10", -1], ["2", "2.0", 0], ["13", "12.9", 1], ["v2.1", "2.1", 0]]
      cases.each { |one, other, order| assert_equal order, Kinds::Ready.compare(one, other), "#{one} and #{other}" }
    end

    def test_a_device_of_no_known_kind_has_no_steps
      fitting = bare("devices" => [{ "id" => "thing", "host" => "desk", "buttons" => [] }])
      assert_empty ready(fitting).steps
    end
  end
end
