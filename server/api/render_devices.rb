# frozen_string_literal: true

module Kippen
  module Server
    # Device kinds and a client's devices as the JSON of the contract.
    class RenderDevices
      def self.kind(kind)
        { "id" => kind.id, "name" => kind.name, "words" => kind.data["words"], "systems" => kind.systems, "belongs" => kind.sure,
          "versions" => kind.versions,
          "variants" => kind.variants.map { |variant| variant.slice("id", "name") }, "sits_on" => kind.data.fetch("sits_on", []),
          "drawing" => drawing(kind, nil), "carries" => kind.data["hosts"].map { |system, carries| carried(system, carries) } }
      end

      # What is drawn of a device: its outline and where its buttons are.
      def self.drawing(kind, variant)
        { "box" => kind.data["box"], "outline" => kind.data["outline"],
          "buttons" => kind.buttons(variant).map { |button| button.slice("id", "at") } + kind.seats
            .filter_map { |seat| seat["at"] && seat.slice("id", "at") } }
      end

      # Of a kind on a host: what it can carry and which values can really be set.
      def self.carried(system, carries)
        { "system" => system, "gestures" => carries["gestures"].map { |gesture| Words.gesture(gesture) },
          "modes" => carries["modes"],
          "double_click_ms" => carries["double_click_ms"]["usual"],
          "settable" => carries["settable"]
            .map { |name, allowed| { "setting" => name, "words" => Words.settable(name, allowed) } } }
      end

      # By whom and when something was said, or nil.
      def self.said(said) = said && { "by" => said["by"], "at" => said["at"] }

      # contacts – { device id => [Kinds::Ready::Contact] }
      def initialize(fitting, contacts)
        @fitting = fitting
        @contacts = contacts
        @sources = Kinds::Sources.new(fitting, KINDS)
        @assigned = fitting.assignments.to_set(&:button)
      end

      def all
        { "devices" => @fitting.devices.map { |device| device(device) }, "kinds" => own_kinds,
          "taken_out" => @fitting.list("taken_out").reverse.map { |item| { "id" => item["id"], "name" => item["name"].to_s } },
          "links" => @fitting.links.map { |link| { "from" => link.from, "to" => link.to, "mirror" => link.mirror } } }
      end

      private

      # Kinds that somebody made for this client.
      def own_kinds
        used = @fitting.devices.map(&:kind)
        @fitting.list("kinds").map do |data|
          RenderDevices.kind(Kinds::Kind.new(data))
            .merge("said" => RenderDevices.said(data), "used" => used.include?(data["id"]), "edition" => data["edition"])
        end
      end

      def device(device)
        kind = KINDS.of(device)
        host = @fitting.host(device.host)
        ready = Kinds::Ready.new(kind, device, host, contacts: @contacts.fetch(device.id, []))
        facts(device, kind).merge(
          "seat" => Render.seat(device.seat), "seats" => seats(device, kind), "may_sit" => may_sit(device, kind),
          "buttons" => device.buttons.map { |button| button(device, button) },
          "unsure" => kind&.unsure(host.system), "steps" => ready.steps.map { |step| step(step) }, "stops" => ready.stops,
          **carries(device, kind, host)
        )
      end

      # What it carries where it is, in words and as data, and who put something of it right.
      def carries(device, kind, host)
        carries = KINDS.carries(device, host.system)
        { "carries" => kind && carries && RenderDevices.carried(host.system, carries),
          "corrected" => RenderDevices.said(device.corrected),
          "carried" => carries&.slice("gestures", "settable", "modes") }
      end

      def facts(device, kind)
        { "id" => device.id, "name" => device.name || device.id, "host" => device.host, "kind" => device.kind,
          "kind_name" => kind&.name,
          "edition" => kind&.edition,
          "off" => device.off, "variant" => device.variant, "version" => device.version, "versions" => kind ? kind.versions : [],
          "worked_with" => device.worked_with, "mounting" => device.mounting, "posture" => device.posture,
          "battery" => device.battery && { "is" => device.battery["is"], **RenderDevices.said(device.battery) } }
      end

      # The places of a device, and who sits there.
      def seats(device, kind)
        (kind ? kind.seats : []).map do |seat|
          sits = @fitting.devices.find { |other| other.seat&.device == device.id && other.seat.place == seat["id"] }
          { "place" => seat["id"], "device" => sits&.id }
        end
      end

      # Free places of other devices on the same host that would take this one.
      def may_sit(device, kind)
        return [] unless kind

        carriers = @fitting.devices.select do |other|
          other.host == device.host && other != device && KINDS.of(other)&.takes&.include?(kind.id)
        end
        carriers.flat_map do |carrier|
          seats(carrier, KINDS.of(carrier)).select { |seat| [nil, device.id].include?(seat["device"]) }
            .map { |seat| { "device" => carrier.id, "place" => seat["place"], "words" => "#{carrier.name}, #{seat["place"]}" } }
        end
      end

      def button(device, button)
        data = KINDS.button(device, button) || {}
        Render.button(button, device).merge(
          "is" => data.fetch("is", "free"), "why" => data["why"],
          "claims" => data.fetch("claims", []).map { |claim| claim(claim) },
          "builtin" => builtin(button, data), "gestures" => KINDS.gestures(@fitting, button),
          "corrected" => RenderDevices.said(button.corrected),
          "held_back" => data.fetch("held_back", true), "signals" => data.fetch("signals", []),
          "signal" => button.signal || data["counts"], "worked_with" => button.worked_with,
          "added" => KINDS.of(device)&.button(button.id).nil?, "assigned" => @assigned.include?(button.ref),
          "heard" => { "browser" => @sources.of(button).keys.map { |source| CODES.describe(source).name },
                       "recording" => data.dig("heard", "recording") || [], "stand_in" => true }
        )
      end

      def claim(claim)
        { "gesture" => claim["gesture"], "gesture_name" => Words.gesture(claim["gesture"]), "by" => claim["by"],
          "free_by" => claim["free_by"],
          "freed" => RenderDevices.said(claim["freed"]) }
      end

      def builtin(button, data)
        given = data.fetch("builtin", button.builtin ? { "tap" => button.builtin } : {})
        given.map do |gesture, words|
          { "gesture" => gesture, "gesture_name" => Words.gesture(gesture), "words" => words }
        end
      end

      def step(step) = step.to_h.transform_keys(&:to_s)
    end
  end
end
