# frozen_string_literal: true

module Kippen
  module Changes
    class CarryOver
      # A device of the other fitting, and what becomes of its assignments and timing here.
      class Carried
        # The id of the device here.
        attr_reader :here

        # way – CarryOver::Way; device – Fitting::Device there
        def initialize(way, device)
          @way = way
          @draft = way.draft
          @from = way.from
          @host = way.host
          @device = device
        end

        # Puts its assignments where they can be. middle – the Fitting with its devices; known – its Knowledge;
        # places – ids there whose assignments go along, nil: all
        def assign(middle, known, places)
          refs = refs(middle, known)
          tell_without(refs)
          cautions = Cautions.new(middle, known)
          before_assigning(refs)
          own = @from.list("assignments").select { |item| refs.key?(item["button"]) && chosen?(item, places) }
          own.each { |item| put(@way.parts.item(item, refs), cautions, middle) }
        end

        # What works there through values for all is said here as each button's own, where it is another here.
        # fitting – with all of it
        def time(fitting)
          all = @draft.member("button_timing", {})
          mine = refs(fitting, @draft.knowledge.of(fitting)).to_h { |ref, other| [other, own(fitting, ref, other)] }
          @draft.set("button_timing", all.except(*mine.keys).merge(mine.reject { |_, part| part.empty? })) if mine.any?
          Moving.timing(@draft, @draft.view.device(here), @host.system)
        end

        private

        def own(fitting, ref, other)
          there = @from.timing(@from.button(ref)).settings
          usual = fitting.shared_timing(fitting.device(here)).settings
          levels = (fitting.own_timing(fitting.button(other)) || {}).slice(*Copy::LEVELS)
          given = @from.own_timing(@from.button(ref)).except(*Copy::LEVELS)
          there.reject { |name, value| Copy::LEVELS.include?(name) || usual[name] == value }.merge(given, levels)
        end

        def chosen?(item, places)
          place = item.fetch("place", Fitting::EVERYWHERE)
          places.nil? || place == Fitting::EVERYWHERE || places.include?(place)
        end

        def put(item, cautions, middle)
          button = middle.button(item["button"])
          why = item["off"] ? [] : cautions.reasons(button, item)
          if why.empty?
            @draft.speak_of(Spot.of(item))
            return @draft.rows.put(item)
          end

          where = [Words.button(middle.device(here), button), Words.gesture(item["gesture"])].join(", ")
          @draft.left_out << "#{where}: #{why.first.delete_suffix(".")}."
        end

        def tell_without(refs)
          gone = @device.buttons.reject { |button| refs.key?(button.ref) || @from.assigned(button.ref).empty? }
          return if gone.empty?

          @draft.left_out << Words.say(:no_button_for, device: name, buttons: gone.map { |one| one.name || one.id }.join(", "))
        end

        def name = @device.name || @device.id
      end

      # As a new device.
      class NewDevice < Carried
        # What belongs to the thing itself, and to where it was.
        OF_THE_THING = %w[host on ready battery off].freeze

        # timing – does the timing of all its buttons go along?
        def bring(timing:)
          item = @from.list("devices").find { |one| one["id"] == @device.id }
          kind = @way.parts.kind(@device.kind)
          usable(kind)
          @here = free_id
          given = item.except(*OF_THE_THING, *("timing" unless timing))
          list.put(given.merge({ "id" => here, "name" => free_name, "kind" => kind, "host" => @host.id }.compact))
          @draft.notes << Words.say(:comes_without_seat, device: name) if item["on"]
        end

        private

        def list = @draft.list("devices")

        def free_id
          taken = list.ids + @draft.member("taken_out", []).map { |one| one["id"].split("/").first }
          Fitting::OwnIds.from(@device.name || @device.id, taken, "device")
        end

        def usable(id)
          kind = id && @draft.kind(id)
          return unless kind
          unless kind.carries(@host.system)
            raise Invalid.at("/change/devices", Words.say(:cant_be_used_at, id: name, system: @host.system))
          end

          Moving.unsure(@draft, kind, name, @host.system)
        end

        def free_name
          names = list.to_a.map { |one| one["name"] }
          return @device.name unless names.include?(@device.name)

          "#{@device.name} #{(2..).find { |count| !names.include?("#{@device.name} #{count}") }}"
        end

        def refs(_fitting, _known) = @device.buttons.to_h { |button| [button.ref, "#{here}/#{button.id}"] }
        def before_assigning(_refs) = nil
      end

      # In place of what is on a device that is there.
      class Onto < Carried
        def initialize(way, device, target)
          super(way, device)
          @target = target
          @here = target.id
        end

        def bring(timing:) = timing

        private

        def refs(_fitting, known)
          kinds = known.kinds
          Kinds::Match.new(kinds, @device, @target, mirror: false).pairs.to_h { |pair| pair.map(&:ref) }
        end

        def before_assigning(refs)
          refs.each_value do |ref|
            @draft.rows.of(ref).each { |item| @draft.rows.delete(Spot.of(item), item["gesture"]) }
          end
        end
      end
    end
  end
end
