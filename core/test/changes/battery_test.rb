# frozen_string_literal: true

require_relative "../kinds_data"

module Kippen
  # How full a device's battery is, as somebody noted it.
  class BatteryTest < CoreTest
    include KindsData

    def remote = @remote ||= add(bare, "remote", host: "tv")
    def noted(fitting, is) = made(fitting, "device", device: "television-remote", set: { "battery" => is })

    def test_it_is_noted_with_who_and_when_and_forgotten
      low = noted(remote, "low")
      assert_equal({ "is" => "low", "by" => "Hollis", "at" => NOON }, low.device("television-remote").battery)
      assert_equal ["Television remote, battery: low."], Changes::Differences.new(remote, low, KNOWLEDGE).words
      gone = noted(low, nil)
      assert_equal remote.document, gone.document
      assert_equal ["Television remote, battery: not noted."], Changes::Differences.new(low, gone, KNOWLEDGE).words
    end

    def test_what_else_is_changed_leaves_it
      renamed = made(noted(remote, "half"), "device", device: "television-remote", set: { "name" => "Set" })
      assert_equal "half", renamed.device("television-remote").battery["is"]
    end

    def test_what_is_no_level_is_refused
      assert_equal ["/devices/0/battery/is"], faults { noted(remote, "brimming") }.map(&:first)
      odd = remote.list("devices").map { |item| item.merge("battery" => 7) }
      assert_equal ["/devices/0/battery"], faults { amended(remote, "devices" => odd) }.map(&:first)
    end
  end
end
