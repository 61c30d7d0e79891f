# frozen_string_literal: true

require_relative "../check/checking"

module Kippen
  # While some of a host's devices work by the old and some by the new.
  class MixesTest < CoreTest
    include Checking

    def two = @two ||= add(desk, "switch", host: "desk")
    def switch = two.devices.last.id
    def press = "#{switch}/#{two.devices.last.buttons[0].id}"
    def on(fitting) = fitting.devices.to_h { |one| [one.id, Handover::Carried.new(fitting, one, KNOWLEDGE).document] }
    def mixes(was, later) = Handover::Mixes.of(later, KNOWLEDGE, now: on(was), later: on(later))

    # Help moves from the mouse to the switch: with the switch out of reach and the mouse switched, nothing asks for it.
    def test_help_that_moves_from_one_device_to_another
      moved = assign(made(two, "clear", button: RIGHT, gesture: "long_press"), press, "long_press", HELP)
      assert_equal([[switch, ["no_help"]]], mixes(two, moved).map { |mix| [mix.device, mix.findings.map(&:id)] })
      assert_empty mixes(two, assign(two, press, "long_press", HELP))
    end

    def test_no_longer_than_it_may_take
      passed = Object.new.tap { |deadline| deadline.define_singleton_method(:check) { raise Deadline::Passed } }
      assert_raises(Deadline::Passed) do
        Handover::Mixes.of(two, KNOWLEDGE, now: on(two), later: on(two), deadline: passed)
      end
    end

    # What both lack is no matter of the mix.
    def test_what_was_so_before_is_not_told
      bare = made(two, "clear", button: RIGHT, gesture: "long_press")
      assert_empty mixes(bare, assign(bare, LEFT, "double_tap", LOUDER))
    end
  end
end
