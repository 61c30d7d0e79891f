# frozen_string_literal: true

require_relative "../helper"
require_relative "../kinds_data"

module Kippen
  # Several devices in one go, each where it belongs.
  class AddDevicesTest < CoreTest
    include KindsData

    NEW = Fitting.read("kippen" => "fitting/1", "client" => { "name" => "Sunniva" })

    def added(fitting, *kinds) = made(fitting, "add_devices", devices: kinds.map { |of| { "of" => of } })

    def test_each_lands_at_the_host_its_kind_belongs_to_which_is_made_where_there_is_none
      client = added(NEW, "mouse-five", "remote", "phone", "remote")
      assert_equal(%w[computer television phone], client.hosts.map(&:system))
      assert_equal({ "Television remote" => "television", "Mouse with five buttons" => "computer", "Phone" => "phone",
                     "Television remote 2" => "television" },
                   client.devices.to_h { |device| [device.name, client.host(device.host).system] })
      assert_equal 2, added(bare, "remote", "mouse-five").hosts.size, "those that are there are taken"
    end

    def test_devices_that_named_no_host_stay_at_a_computer
      old = Fitting.read("kippen" => "fitting/1",
                         "devices" => [{ "id" => "board", "name" => "Board", "buttons" => [{ "id" => "a" }] }])
      client = added(old, "remote")
      assert_equal({ "Board" => "computer", "Television remote" => "television" },
                   client.devices.to_h { |device| [device.name, client.host(device.host).system] })
      assert_equal 1, added(old, "mouse-five").hosts.size
    end

    def test_what_can_sit_on_another_takes_its_first_free_seats
      client = added(NEW, "switch", "switch-box", "switch")
      box = client.devices.find { |device| device.kind == "switch-box" }
      seats = client.devices.select { |device| device.kind == "switch" }.map(&:seat)
      assert_equal [box.id], seats.map(&:device).uniq
      assert_equal KINDS.of(box).seats.first(2).map { |seat| seat["id"] }, seats.map(&:place)
      full = added(client, *(["switch"] * KINDS.of(box).seats.size))
      assert_equal(2, full.devices.count { |device| device.kind == "switch" && device.seat.nil? })
    end

    def test_an_unknown_kind_is_refused_and_told_where
      assert_equal([["/change/devices/1/of", "unknown kind \"kettle\""]], faults { added(NEW, "phone", "kettle") })
    end
  end
end
