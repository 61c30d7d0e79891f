# frozen_string_literal: true

module Kippen
  module Handover
    # What each button does, for the client and those who help, on one page: help first, and where and while what it holds.
    class Card
      # gesture – as in a fitting; name, action, where – in words, where nil: everywhere, as usual; help – does it ask for help?
      Entry = Struct.new(:gesture, :name, :action, :where, :help, keyword_init: true) do
        def plain = to_h.transform_keys(&:to_s)
      end

      # ref, id – of a button; full_name – with its device, see Words.button; does – [Entry], help first
      Row = Struct.new(:ref, :id, :name, :full_name, :does, keyword_init: true) do
        def help? = does.any?(&:help)
        def plain = { "ref" => ref, "id" => id, "name" => name, "full_name" => full_name, "entries" => does.map(&:plain) }
      end

      def initialize(fitting, knowledge)
        @fitting = fitting
        @knowledge = knowledge.of(fitting)
      end

      # [Row] of a device's buttons that do something; help first, then as they stand. None where it is off.
      def rows(device)
        return [] if device.off

        shown = device.buttons.reject(&:off).map { |button| row(device, button) }.reject { |row| row.does.empty? }
        shown.sort_by.with_index { |row, index| [row.help? ? 0 : 1, index] }
      end

      private

      def row(device, button)
        entries = by_itself(device, button) + @fitting.assigned(button.ref).reject(&:off).map { |one| entry(button, one) }
        sorted = entries.sort_by.with_index { |one, index| [*order(one), index] }
        Row.new(ref: button.ref, id: button.id, name: button.name || button.id, full_name: Words.button(device, button),
                does: sorted.freeze).freeze
      end

      def order(one) = [one.help ? 0 : 1, one.where ? 1 : 0, Fitting::GESTURES.index(one.gesture)]

      # What nobody took from it.
      def by_itself(device, button)
        taken = @fitting.assigned(button.ref).any? do |one|
          !one.off && [one.gesture, one.place, one.mode] == ["tap", Fitting::EVERYWHERE, Fitting::BASE]
        end
        builtin = builtin(device, button)
        return [] if taken || builtin.nil?

        [Entry.new(gesture: "tap", name: Words.gesture("tap"), action: builtin, where: nil, help: false).freeze]
      end

      def builtin(device, button) = button.builtin || @knowledge.kinds.button(device, button)&.dig("builtin", "tap")

      def entry(button, one)
        action = one.action["kind"] == "builtin" ? builtin(@fitting.device(button.device), button) : nil
        Entry.new(gesture: one.gesture, name: Words.gesture(one.gesture), action: action || @knowledge.catalogue.name(one.action),
                  where: where(one), help: Steps.parts(one.action).any? { |part| Check::NoHelp.asks?(part) }).freeze
      end

      def where(one)
        place = @fitting.place(one.place)
        words = [place && Words.say(:lost_in, place: place.name || place.id),
                 *(Words.say(:in_mode, mode: @fitting.mode(one.mode)&.name || one.mode) unless one.mode == Fitting::BASE)].compact
        words.empty? ? nil : words.join(", ")
      end
    end
  end
end
