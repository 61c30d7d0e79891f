# frozen_string_literal: true

module Kippen
  class Kinds
    # Which button of one device stands for which of another, straight or mirrored.
    class Match
      MIRRORED_ROLES = { "left" => "right", "right" => "left", "up-left" => "up-right", "up-right" => "up-left",
                         "down-left" => "down-right", "down-right" => "down-left" }.freeze

      # [[Fitting::Button, Fitting::Button]…]
      attr_reader :pairs, :from, :to

      # from, to – Fitting::Devices; mirror – left becomes right
      def initialize(kinds, from, to, mirror:)
        @kinds = kinds
        @mirror = mirror
        @from = from
        @to = to
        # Each is a partner once, though several may have one name.
        @free = to.buttons.to_a.dup
        @pairs = from.buttons.filter_map { |button| (other = partner(button)) && [button, @free.delete(other)] }.freeze
        @refs = @pairs.to_h { |pair| pair.map(&:ref) }.freeze
      end

      # An assignment of the first device as it is on the second: what breaks off its steps is the partner too.
      # item – a JSON object
      def carried(item)
        stop = @refs[item["action"]["stop"]] if Steps.of(item["action"])
        item.merge("button" => @refs.fetch(item["button"]),
                   "action" => stop ? item["action"].merge("stop" => stop) : item["action"])
      end

      # Buttons of the first device that have no match on the second.
      def without = @from.buttons - @pairs.map(&:first)

      private

      def partner(button)
        @from.kind && @from.kind == @to.kind ? same_kind(button) : by_role(button) || by_name(button)
      end

      def same_kind(button)
        mirrored = @mirror && @kinds.button(@from, button)&.fetch("mirror", nil)
        @free.find { |other| other.id == (mirrored || button.id) }
      end

      def by_role(button)
        role = @kinds.button(@from, button)&.fetch("role", nil) or return
        role = MIRRORED_ROLES.fetch(role, role) if @mirror
        @free.find { |other| @kinds.button(@to, other)&.fetch("role", nil) == role }
      end

      def by_name(button) = @free.find { |other| button.name && other.name == button.name }
    end
  end
end
