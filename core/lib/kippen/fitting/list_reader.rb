# frozen_string_literal: true

module Kippen
  class Fitting
    # Reads the lists of a fitting: hosts, devices with buttons, modes, places.
    # Tells every fault; a part with a fault in it may be missing from what is returned.
    class ListReader
      include Members

      KINDS = %w[contact force notch].freeze
      SYSTEMS = %w[computer tablet phone television].freeze
      OTHERWISE = %w[base builtin nothing].freeze
      COUNTING = %w[by_gap while_held].freeze
      THE_ONE_HOST = Host.new(id: "", system: "computer").freeze

      def initialize(document, faults)
        @document = document
        @faults = faults
      end

      # A fitting that declares no hosts has one, without a name.
      def hosts
        found = each("hosts", Limits::HOSTS).filter_map do |item, pointer|
          id = id(item, pointer) or next
          system = choice(item, "system", SYSTEMS, pointer, default: "computer")
          Host.new(id:, name: words(item, "name", pointer), system:, double_click_ms: double_click(item, pointer),
                   corrected: CorrectedHost.read(item, pointer, @faults)).freeze
        end
        unique("/hosts", found)
        found.empty? ? [THE_ONE_HOST].freeze : found.freeze
      end

      # Kinds that somebody made, as far as they can be read: { id => Kinds::Kind }.
      def kinds
        @kinds ||= begin
          found = objects(@document, "kinds", Limits::KINDS).filter_map do |item, pointer|
            Kinds::Reader.read(item, @faults, pointer)
          end
          unique("/kinds", found)
          found.to_h { |kind| [kind.id, kind] }.freeze
        end
      end

      def devices(hosts)
        kinds
        @count = 0
        found = each("devices", Limits::DEVICES).filter_map { |item, pointer| device(item, pointer, hosts) }
        unique("/devices", found)
        @faults.add("/devices", Words.say(:more_than_buttons_all, most: Limits::BUTTONS)) if @count > Limits::BUTTONS
        found.freeze
      end

      def modes
        found = each("modes", Limits::MODES).filter_map do |item, pointer|
          id = id(item, pointer, reserved: BASE) or next
          otherwise = choice(item, "otherwise", OTHERWISE, pointer, default: "base")
          counting = choice(item, "counting", COUNTING, pointer, default: "by_gap")
          Mode.new(id:, name: words(item, "name", pointer), otherwise:, counting:,
                   shortlist: optional_id(item, "shortlist", pointer)).freeze
        end
        unique("/modes", found)
        found.freeze
      end

      def places
        found = each("places", Limits::PLACES).filter_map do |item, pointer|
          id = id(item, pointer, reserved: EVERYWHERE) or next
          app = word(item, "app", pointer, Words.say(:place_needs_app))
          part = word(item, "part", pointer) if item.key?("part")
          Place.new(id:, app:, part:, name: words(item, "name", pointer), off: flag(item, "off", pointer),
                    off_from_afar: flag(item, "off_from_afar", pointer)).freeze
        end
        unique("/places", found)
        same_spot(found)
        found.freeze
      end

      private

      def each(list, most) = objects(@document, list, most)

      def device(item, pointer, hosts)
        id = id(item, pointer) or return
        host = device_host(item, pointer, hosts)
        off = flag(item, "off", pointer)
        found = objects(item, "buttons", Limits::BUTTONS, pointer).filter_map do |button, at|
          button(button, at, device: id, host:, off:)
        end
        unique("#{pointer}/buttons", found)
        Device.new(id:, name: words(item, "name", pointer), host:, off:, buttons: found.freeze, **facts(item, pointer)).freeze
      end

      # What is known of a device besides its buttons.
      def facts(item, pointer)
        { kind: optional_id(item, "kind", pointer), own_kind: kinds[item["kind"]],
          variant: optional_id(item, "variant", pointer), seat: seat(item, pointer),
          version: words(item, "version", pointer), version_at: words(item, "version_at", pointer), ready: ready(item, pointer),
          worked_with: words(item, "worked_with", pointer), mounting: words(item, "mounting", pointer),
          posture: words(item, "posture", pointer),
          battery: battery(item, pointer), corrected: CorrectedDevice.read(item, pointer, @faults) }
      end

      def battery(item, pointer)
        noted = item["battery"]
        return if noted.nil?
        return @faults.add("#{pointer}/battery", Words.say(:must_object_battery)) unless noted.is_a?(Hash)

        choice(noted, "is", BATTERY, "#{pointer}/battery")
        %w[by at].each { |key| words(noted, key, "#{pointer}/battery") }
        noted
      end

      def optional_id(item, key, pointer) = item[key].nil? ? nil : word(item, key, pointer)

      def seat(item, pointer)
        seat = item["on"]
        return if seat.nil?
        return @faults.add("#{pointer}/on", Words.say(:must_object_with_device_place)) unless seat.is_a?(Hash)

        device = word(seat, "device", "#{pointer}/on", Words.say(:needs_device))
        place = word(seat, "place", "#{pointer}/on", Words.say(:needs_place))
        Seat.new(device:, place:).freeze if device && place
      end

      def ready(item, pointer)
        done = item.fetch("ready", {})
        right = done.is_a?(Hash) && done.size <= Limits::STEPS && done.values.all? do |step|
          step.is_a?(Hash) && step.values.all? { |value| value.nil? || value.is_a?(String) }
        end
        right ? done : @faults.add("#{pointer}/ready", Words.say(:must_object_steps_each_with)) || {}
      end

      def double_click(item, pointer)
        value = item["double_click_ms"]
        return value if value.nil? || (value.is_a?(Integer) && value.between?(50, 3000))

        @faults.add("#{pointer}/double_click_ms", Words.say(:must_whole_number_from_ms, value: Faults.show(value)))
      end

      def device_host(item, pointer, hosts)
        given = item["host"]
        return hosts.first.id if given.nil? && hosts.size == 1
        return @faults.add(pointer, Words.say(:needs_host_there_are_several)) if given.nil?
        return given if hosts.any? { |host| host.id == given && given != "" }

        @faults.add("#{pointer}/host", Words.say(:unknown_host, host: Faults.show(given)))
      end

      # device, host – ids; off – is all of the device?
      def button(item, pointer, device:, host:, off:)
        id = id(item, pointer) or return
        kind = choice(item, "kind", KINDS, pointer, default: "contact")
        off = flag(item, "off", pointer) || off
        corrected = CorrectedReader.read(item, kind, pointer, @faults)
        does = words(item, "builtin", pointer)
        does = corrected["builtin"]["tap"] if corrected&.key?("builtin")
        @count += 1
        Button.new(ref: "#{device}/#{id}", id:, kind:, host:, device:, off:, index: @count - 1,
                   name: words(item, "name", pointer), print: words(item, "print", pointer), builtin: does,
                   signal: optional_id(item, "signal", pointer), codes: codes(item, pointer),
                   worked_with: words(item, "worked_with", pointer), effort_s: effort(item, pointer),
                   corrected:).freeze
      end

      def effort(item, pointer)
        value = item["effort_s"]
        return value if value.nil? || (value.is_a?(Numeric) && value.real? && EFFORT_S.cover?(value))

        @faults.add("#{pointer}/effort_s", Words.say(:must_number, from: EFFORT_S.begin, to: EFFORT_S.end))
      end
      EFFORT_S = 0..60
      private_constant :EFFORT_S

      def id(item, pointer, reserved: nil)
        value = word(item, "id", pointer, Words.say(:needs_id)) or return
        return value unless value == reserved

        @faults.add("#{pointer}/id", Words.say(:always_exists_cant_declared, reserved:))
      end

      def word(item, key, pointer, missing = nil)
        return @faults.add(pointer, missing) if missing && !item.key?(key)
        return item[key] if Ids.ok?(item[key])

        @faults.add("#{pointer}/#{key}", Words.say(:must_be_like, value: Faults.show(item[key]), allowed: Ids::ALLOWED))
      end

      # As listeners name what they hear.
      def codes(item, pointer)
        list = item.fetch("codes", [])
        right = list.is_a?(Array) && list.size <= Limits::CODES && list.all? do |code|
          code.is_a?(String) && code.length.between?(1, Limits::NAME_CHARACTERS)
        end
        right ? list.freeze : @faults.add("#{pointer}/codes", Words.say(:must_array_most_sources, most: Limits::CODES)) || []
      end

      def same_spot(places)
        places.group_by { |place| [place.app, place.part] }.each_value do |same|
          next if same.size == 1 || same.first.app.nil?

          @faults.add("/places", Words.say(:are_same_app_part, what: Words.list(same.map(&:id))))
        end
      end
    end
  end
end
