# frozen_string_literal: true

module Kippen
  module Changes
    # The assignments of a draft in their order, found by where they stand. A button has few, so
    # only the button is looked up.
    class Rows
      def initialize(items)
        @items = items.dup
        @of = Hash.new { |all, ref| all[ref] = [] }
        items.each_with_index { |item, index| @of[item["button"]] << index }
      end

      def to_a = @items.compact

      # The assignment on a gesture of a Spot, or nil.
      def find(spot, gesture) = index(spot, gesture)&.then { |index| @items[index] }

      # All that stands at a Spot.
      def at(spot) = Fitting::GESTURES.filter_map { |gesture| find(spot, gesture) }

      # All of a button, in their order.
      def of(ref) = @items.values_at(*@of.fetch(ref, []))

      # All of a device's buttons, by its id.
      def of_device(device) = @of.keys.select { |ref| ref.start_with?("#{device}/") }.flat_map { |ref| of(ref) }

      # In place of the one on the same gesture, else as the last.
      def put(item)
        index = index(Spot.of(item), item["gesture"])
        @of[item["button"]] << (index = @items.size) unless index
        @items[index] = item
      end

      def delete(spot, gesture)
        index = index(spot, gesture) or return
        @of[spot.button].delete(index)
        @items[index] = nil
      end

      private

      # Where in the list.
      def index(spot, gesture)
        @of.fetch(spot.button, []).find { |index| (item = @items[index])["gesture"] == gesture && Spot.of(item) == spot }
      end
    end
  end
end
