# frozen_string_literal: true

module Kippen
  class Fitting
    # Reads the lists of a fitting: hosts, devices with buttons, modes, places.
    # Tells every fault; a part with a fault in it may be missing from what is returned.
    class ListReader
      include Members

      KINDS = %w[contact force notch].freeze
      OTHERWISE = %w[base builtin nothing].freeze
      THE_ONE_HOST = Host.new(id: "", name: nil).freeze

      def initialize(document, faults)
        @document = document
        @faults = faults
      end

      # A fitting that declares no hosts has one, without a name.
      def hosts
        found = each("hosts", Limits::HOSTS).filter_map do |item, pointer|
          id = id(item, pointer) or next
          Host.new(id:, name: name(item, "name", pointer)).freeze
        end
        unique("/hosts", found)
        found.empty? ? [THE_ONE_HOST].freeze : found.freeze
      end

      def devices(hosts)
        @count = 0
        found = each("devices", Limits::DEVICES).filter_map { |item, pointer| device(item, pointer, hosts) }
        unique("/devices", found)
        @faults.add("/devices", "more than #{Limits::BUTTONS} buttons in all") if @count > Limits::BUTTONS
        found.freeze
      end

      def modes
        found = each("modes", Limits::MODES).filter_map do |item, pointer|
          id = id(item, pointer, reserved: BASE) or next
          otherwise = choice(item, "otherwise", OTHERWISE, "base", pointer)
          Mode.new(id:, name: name(item, "name", pointer), otherwise:).freeze
        end
        unique("/modes", found)
        found.freeze
      end

      def places
        found = each("places", Limits::PLACES).filter_map do |item, pointer|
          id = id(item, pointer, reserved: EVERYWHERE) or next
          app = word(item, "app", pointer, "a place needs the app it is in")
          part = word(item, "part", pointer) if item.key?("part")
          Place.new(id:, app:, part:, name: name(item, "name", pointer), off: flag(item, "off", pointer)).freeze
        end
        unique("/places", found)
        same_spot(found)
        found.freeze
      end

      private

      def each(list, most)
        items = @document.fetch(list, [])
        return @faults.add("/#{list}", "must be an array") || [] unless items.is_a?(Array)
        return @faults.add("/#{list}", "has #{items.size} items, at most #{most} are taken") || [] if items.size > most

        objects(items, "/#{list}")
      end

      def objects(items, pointer)
        items.each_with_index.filter_map do |item, index|
          next [item, "#{pointer}/#{index}"] if item.is_a?(Hash)

          @faults.add("#{pointer}/#{index}", "must be an object")
        end
      end

      def device(item, pointer, hosts)
        id = id(item, pointer) or return
        host = device_host(item, pointer, hosts)
        off = flag(item, "off", pointer)
        buttons = item.fetch("buttons", [])
        return @faults.add("#{pointer}/buttons", "must be an array") unless buttons.is_a?(Array)

        found = objects(buttons, "#{pointer}/buttons").filter_map { |button, at| button(button, at, id, host, off) }
        unique("#{pointer}/buttons", found)
        Device.new(id:, name: name(item, "name", pointer), host:, off:, buttons: found.freeze).freeze
      end

      def device_host(item, pointer, hosts)
        given = item["host"]
        return hosts.first.id if given.nil? && hosts.size == 1
        return @faults.add(pointer, "needs a host: there are several") if given.nil?
        return given if hosts.any? { |host| host.id == given && given != "" }

        @faults.add("#{pointer}/host", "unknown host #{Faults.show(given)}")
      end

      def button(item, pointer, device, host, device_off)
        id = id(item, pointer) or return
        kind = choice(item, "kind", KINDS, "contact", pointer)
        off = flag(item, "off", pointer) || device_off
        @count += 1
        Button.new(ref: "#{device}/#{id}", id:, kind:, host:, device:, off:, index: @count - 1,
                   name: name(item, "name", pointer), print: name(item, "print", pointer),
                   builtin: name(item, "builtin", pointer)).freeze
      end

      def id(item, pointer, reserved: nil)
        value = word(item, "id", pointer, "needs an id") or return
        return value unless value == reserved

        @faults.add("#{pointer}/id", "#{reserved} always exists and can't be declared")
      end

      def word(item, key, pointer, missing = nil)
        return @faults.add(pointer, missing) if missing && !item.key?(key)
        return item[key] if Ids.ok?(item[key])

        @faults.add("#{pointer}/#{key}", "is #{Faults.show(item[key])}, must be #{Ids::ALLOWED}")
      end

      # Words for people: optional, short, valid text.
      def name(item, key, pointer)
        value = item[key]
        return value if value.nil? || (value.is_a?(String) && value.length <= Limits::NAME_CHARACTERS)

        @faults.add("#{pointer}/#{key}", "must be text of at most #{Limits::NAME_CHARACTERS} characters")
      end

      def unique(pointer, found)
        found.group_by(&:id).each do |id, same|
          @faults.add(pointer, "id #{id.inspect} is used #{same.size} times") if same.size > 1
        end
      end

      def same_spot(places)
        places.group_by { |place| [place.app, place.part] }.each_value do |same|
          next if same.size == 1 || same.first.app.nil?

          @faults.add("/places", "#{same.map(&:id).join(" and ")} are the same app and part")
        end
      end
    end
  end
end
