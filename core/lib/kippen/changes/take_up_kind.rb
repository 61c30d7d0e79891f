# frozen_string_literal: true

module Kippen
  module Changes
    # Another edition of a kind that the fitting has: all devices of it become what it says. document – its JSON object.
    # What people said of a device stays (names, what was put right); a button that the kind no longer has is put aside
    # with all there is to it; what is assigned and no longer fits is switched off and kept, and a value that can't be set
    # moves to the nearest. Each is told.
    class TakeUpKind < Change.of("take_up_kind", :document)
      # Of a button, what its kind says unless somebody said otherwise.
      OF_KIND = %w[name kind print builtin].freeze

      def make(draft)
        PutKind.check(document)
        old = one_to_change(draft)
        draft.list("kinds").put(document.merge({ "by" => draft.by, "at" => draft.at }.compact))
        was, now = [old, document].map { |data| Kinds::Kind.new(data) }
        devices = draft.before.devices.select { |device| device.kind == now.id }
        devices.each { |device| OneDevice.new(draft, device, was, now).take_up }
        draft.notes << Words.say(:kind_taken_up, count: devices.size, name: now.name) if devices.any?
      end

      private

      def one_to_change(draft)
        old = draft.list("kinds").find(document["id"]) ||
              refuse("document", Words.say(:unknown_kind, kind: Faults.show(document["id"])))
        PutKind.same?(old, document) ? refuse("document", Words.say(:kind_is_that_already)) : old
      end

      # One device of it.
      class OneDevice
        def initialize(draft, device, was, now)
          @draft = draft
          @device = device
          @was = was
          @now = now
        end

        def take_up
          system = @draft.before.host(@device.host).system
          raise Invalid.at("/change/document/hosts", Words.say(:cant_be_used_at, id: name, system:)) unless @now.carries(system)

          variant = @now.variants.find { |one| one["id"] == @device.variant }&.fetch("id") || @now.variants.first&.fetch("id")
          gone = buttons(variant)
          @draft.alter("devices", @device.id, "variant" => variant)
          gone.each { |id| put_aside(id) }
          unseat
          switch_off
          Moving.timing(@draft, @draft.view.device(@device.id), system)
        end

        private

        def name = @device.name || @device.id

        # Brings the buttons along. Returns the ids of those that the kind no longer has.
        def buttons(variant)
          before = by_id(@was, @device.variant)
          after = by_id(@now, variant)
          there = @device.buttons.map(&:id)
          @draft.alter_buttons(@device.id) do |list|
            (there & before.keys & after.keys).each { |id| list.put(brought_along(list.find(id), before[id], after[id])) }
            # What somebody took out before stays out.
            (after.keys - there - before.keys).each { |id| list.put(after[id]) }
          end
          (there & before.keys) - after.keys
        end

        def by_id(kind, variant) = kind.fitting_buttons(variant).to_h { |button| [button["id"], button] }

        def brought_along(item, before, after)
          Draft.with(item, OF_KIND.select { |member| item[member] == before[member] }.to_h { |member| [member, after[member]] })
        end

        def put_aside(id)
          TakeOut.new(id: "#{@device.id}/#{id}").make(@draft)
          @draft.left_out << Words.say(:button_no_longer,
                                       button: Words.button(@device, @device.buttons.find { |one| one.id == id }),
                                       kind: @now.name)
        end

        # What sat in a place that it no longer has.
        def unseat
          places = @now.seats.map { |seat| seat["id"] }
          riders = @draft.before.devices.select { |one| one.seat&.device == @device.id && !places.include?(one.seat.place) }
          riders.each do |rider|
            @draft.alter("devices", rider.id, "on" => nil)
            @draft.left_out << Words.say(:place_no_longer, device: rider.name || rider.id, on: name)
          end
        end

        def switch_off
          before = Cautions.new(@draft.before, @draft.knowledge)
          now = @draft.view.device(@device.id).buttons
          (@device.buttons.map(&:id) & now.map(&:id)).each do |id|
            Misfits.switch_off(@draft, @device, now.find { |one| one.id == id }) do |item|
              before.reasons(@draft.before.button("#{@device.id}/#{id}"), item)
            end
          end
        end
      end
    end

    # What is assigned to a button and can't be there any more, for something is known of it that was not.
    module Misfits
      module_function

      # Switches it off and keeps it, told so. device – its Fitting::Device; now – the Fitting::Button as it is in the draft.
      # Yields an assignment; the block gives why it couldn't be there before.
      def switch_off(draft, device, now)
        draft.rows.of(now.ref).each do |item|
          next if item["off"] || yield(item).any?

          why = draft.cautions.reasons(now, item).first or next
          draft.rows.put(item.merge("off" => true))
          draft.left_out << Words.say(:switched_off_kept, button: Words.button(device, now),
                                                          gesture: Words.gesture(item["gesture"]),
                                                          why: why.delete_suffix("."))
        end
      end
    end
  end
end
