# frozen_string_literal: true

require_relative "../kinds_data"

module Kippen
  # What one device carries is put right: gestures, modes, values that can be set.
  class CorrectDeviceTest < CoreTest
    include KindsData

    OK = "television-remote/ok"
    REMOTE = "television-remote"

    def fitting = @fitting ||= add(bare, "remote", host: "tv")
    def put_right(set, fitting = self.fitting) = result(fitting, "correct_device", device: REMOTE, set:)
    def carries(fitting) = KINDS.carries(fitting.device(REMOTE), "television")
    def device_timing(value, fitting) = made(fitting, "device_timing", device: REMOTE, setting: "long_press_ms", value:)

    def test_values_that_can_be_set_are_others
      refused = faults { device_timing(650, fitting) }
      assert_equal ["/change/value"], refused.map(&:first)
      more = put_right({ "settable" => { "long_press_ms" => { "from" => 300, "to" => 900, "step" => 50 } } }).fitting
      assert_equal 650_000, device_timing(650, more).timing(more.button(OK)).long_press_us
      assert_equal "Hollis", more.device(REMOTE).corrected["by"]
      assert_equal KINDS.find("remote").carries("television")["settable"]["tap_gap_ms"], carries(more)["settable"]["tap_gap_ms"],
                   "the rest as its kind has it"
      any = put_right({ "settable" => { "long_press_ms" => nil } }, more).fitting
      assert_equal 650_000, device_timing(650, any).timing(any.button(OK)).long_press_us
      refute carries(any)["settable"].key?("long_press_ms")
    end

    def test_what_no_longer_fits_is_switched_off_or_moved_and_told
      put = made(fitting, "assign", button: OK, gesture: "long_press", action: { "kind" => "help" })
      put = device_timing(1000, put)
      less = put_right({ "gestures" => %w[tap], "settable" => { "long_press_ms" => { "values" => [400, 700] } } }, put)
      assert less.fitting.assignments.find { |one| one.gesture == "long_press" }.off
      assert_match(/long-press: switched off, and kept/, less.left_out.join)
      assert_equal 700_000, less.fitting.timing(less.fitting.button(OK)).long_press_us
      back = put_right(nil, less.fitting).fitting
      assert_nil back.device(REMOTE).corrected
      assert_includes carries(back)["gestures"], "long_press"
    end

    def test_what_is_wrong_is_told_where_it_stands
      { { "gestures" => [] } => "gestures", { "modes" => -1 } => "modes", { "settable" => 7 } => "settable",
        { "settable" => { "long_press_ms" => { "from" => 9, "to" => 3, "step" => 1 } } } => "settable/long_press_ms",
        { "settable" => { "colour" => { "fixed" => 1 } } } => "settable/colour" }.each do |set, where|
        assert_equal ["/devices/0/corrected/#{where}"], faults { put_right(set) }.map(&:first), set.inspect
      end
    end

    # It goes along with the device, and with a kind that is another edition from now on.
    def test_it_stays_with_the_device
      more = put_right({ "modes" => 7 }).fitting
      assert_equal 7, carries(more)["modes"]
      assert_equal 7, carries(made(made(more, "take_out", id: REMOTE), "bring_back", id: REMOTE))["modes"]
    end
  end
end
