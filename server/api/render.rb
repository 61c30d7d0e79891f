# frozen_string_literal: true

module Kippen
  module Server
    # Core values as the JSON of the contract.
    module Render
      module_function

      def revision(row)
        { "number" => row[:number], "parent" => row[:parent], "author" => row[:author], "note" => row[:note],
          "created_at" => time(row[:created_at]) }
      end

      def time(time) = time.utc.strftime("%Y-%m-%dT%H:%M:%S.%LZ")

      def client(row)
        { "id" => row[:id], "name" => row[:name].empty? ? "Client without a name" : row[:name], "about" => row[:about],
          "revision" => row[:revision], "seen_at" => time(row[:seen_at]), "open" => row[:open].to_h }
      end

      # open – what is open, as Standing counts it; contacts – { device id => what was pressed of it }
      def desk(id, fitting, row, open, contacts)
        { "id" => id, "name" => fitting.name, "about" => fitting.document.dig("client", "about") || "" }.merge(
          "revision" => revision(row), "open" => open, "hosts" => fitting.hosts.map { |host| host(fitting, host, contacts) },
          "places" => places(fitting), "modes" => modes(fitting)
        )
      end

      def host(fitting, host, contacts)
        devices = fitting.devices.select { |device| device.host == host.id }
        { "id" => host.id, "name" => host.name || host.id, "system" => host.system, "double_click_ms" => host.double_click_ms,
          "devices" => devices.map { |device| device(fitting, device, contacts) } }
      end

      def device(fitting, device, contacts)
        kind = KINDS.of(device)
        ready = Kinds::Ready.new(kind, device, fitting.host(device.host), contacts: contacts.fetch(device.id, []))
        { "id" => device.id, "name" => device.name || device.id, "drawing" => kind && RenderDevices.drawing(kind, device.variant),
          "off" => device.off, "open_steps" => ready.open.size, "seat" => seat(device.seat),
          "buttons" => device.buttons.map { |button| button(button) } }
      end

      def seat(seat) = seat && { "device" => seat.device, "place" => seat.place }

      def button(button)
        { "ref" => button.ref, "name" => button.name || button.id, "print" => button.print || "", "kind" => button.kind,
          "off" => button.off }
      end

      def places(fitting)
        everywhere = { "id" => Fitting::EVERYWHERE, "name" => "everywhere", "off" => false }
        [everywhere, *fitting.places.map do |place|
          { "id" => place.id, "name" => place.name || [CATALOGUE.app(place.app), place.part].compact.join(", "), "off" => place.off }
        end]
      end

      def modes(fitting)
        [{ "id" => Fitting::BASE, "name" => "base" }, *fitting.modes.map { |mode| { "id" => mode.id, "name" => mode.name || mode.id } }]
      end

      def lane(lane)
        { "button" => button(lane.button), "regions" => lane.regions.map { |region| region(region) },
          "chips" => lane.chips.map { |chip| chip(lane, chip) },
          "empties" => lane.empties.map { |empty| empty(empty) },
          "boundaries" => lane.boundaries.map { |boundary| boundary(boundary) },
          "limits" => lane.limits.map { |limit| limit(lane, limit) } }
      end

      def limit(lane, limit)
        { "gesture" => limit.gesture, "how" => limit.how, "words" => Words.limit(limit, lane.timing) }
      end

      def region(region)
        { "stretch" => region.stretch, "kind" => region.kind, "from_us" => region.from_us, "to_us" => region.to_us }
      end

      def chip(lane, chip)
        { "gesture" => chip.gesture, "gesture_name" => Words::GESTURES.fetch(chip.gesture), "stretch" => chip.stretch,
          "origin" => chip.origin, "place" => chip.place, "mode" => chip.mode, "off" => chip.off, "action" => chip.action,
          "name" => CATALOGUE.name(chip.action, lane.button.builtin), "kept" => chip.action.nil? || chip.action["kind"] == "builtin",
          "app" => CATALOGUE.app_name(chip.action), "wait" => chip.wait && Words.wait(chip.wait, lane.timing) }
      end

      def empty(empty)
        { "gesture" => empty.gesture, "gesture_name" => Words::GESTURES.fetch(empty.gesture), "stretch" => empty.stretch,
          "costs" => costs(empty.costs) }
      end

      def costs(list) = list.filter_map { |gesture, before, after| Words.cost(gesture, before, after) }

      def boundary(boundary)
        { "setting" => boundary.setting, "stretch" => boundary.stretch, "value_ms" => milliseconds(boundary.value_us),
          "from_ms" => milliseconds(boundary.from_us), "to_ms" => milliseconds(boundary.to_us) }
      end

      # Whole where it is whole, else with its decimals.
      def milliseconds(microseconds) = (microseconds % 1000).zero? ? microseconds / 1000 : microseconds / 1000.0

      # What a change does to one lane: the lane after it, and each gesture's wait before and after.
      def preview(before, after)
        { "lane" => lane(after), "waits" => before.differences(after).map do |gesture, old, new|
          { "gesture" => gesture, "gesture_name" => Words::GESTURES.fetch(gesture),
            "before" => old && Words.wait(old, before.timing), "after" => new && Words.wait(new, after.timing) }
        end }
      end

      def action(entry)
        { "id" => entry.id, "name" => entry.name, "app" => entry.app, "words" => entry.words, "action" => entry.action }
      end
    end
  end
end
