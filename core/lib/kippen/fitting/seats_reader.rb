# frozen_string_literal: true

module Kippen
  class Fitting
    # What devices have to do with each other: which sits on which, which follows which.
    class SeatsReader
      include Members

      def initialize(document, faults, devices)
        @document = document
        @faults = faults
        @devices = devices.to_h { |device| [device.id, device] }
      end

      # A device sits on another that is there, on the same host, alone in its place, in no circle.
      def check_seats
        seated = @devices.values.select(&:seat)
        seated.each { |device| check(device) }
        seated.group_by(&:seat).each_value do |same|
          @faults.add("/devices", Words.say(:sit_same_place, what: Words.list(same.map(&:id)))) if same.size > 1
        end
      end

      def links
        found = objects(@document, "links", Limits::LINKS).filter_map do |item, pointer|
          from = one_of(item, "from", @devices.keys, pointer)
          to = one_of(item, "to", @devices.keys, pointer)
          mirror = flag(item, "mirror", pointer)
          next @faults.add(pointer, Words.say(:device_cant_follow_itself)) if from && from == to

          Link.new(from:, to:, mirror:).freeze if from && to
        end
        followers_once(found)
        found.freeze
      end

      private

      def check(device)
        carrier = @devices[device.seat.device]
        where = "/devices"
        unless carrier
          carrier = Faults.show(device.seat.device)
          return @faults.add(where, Words.say(:sits_on_which_not_there, device: device.id, device_2: carrier))
        end

        unless carrier.host == device.host
          @faults.add(where, Words.say(:sits_on_which_on_another, device: device.id, carrier: carrier.id))
        end
        @faults.add(where, Words.say(:sits_on_itself, device: device.id)) if circle?(device)
      end

      def circle?(device)
        passed = []
        while device&.seat
          return true if passed.include?(device.id)

          passed << device.id
          device = @devices[device.seat.device]
        end
        false
      end

      # One that follows has one to follow, and nobody follows it.
      def followers_once(links)
        leaders = links.map(&:from)
        links.group_by(&:to).each do |to, same|
          @faults.add("/links", Words.say(:follows_devices, to:, what: same.size)) if same.size > 1
          @faults.add("/links", Words.say(:follows_followed, to:)) if leaders.include?(to)
        end
      end
    end
  end
end
