# frozen_string_literal: true

module Kippen
  module Changes
    # The assignments of a draft in their order, found by where they stand.
    class Rows
      def initialize(items)
        @rows = {}
        @of = Hash.new { |all, ref| all[ref] = {} }
        items.each { |item| put(item) }
      end

      def to_a = @rows.values

      # The assignment on a gesture of a Spot, or nil.
      def find(spot, gesture) = @rows[key(spot, gesture)]

      # All that stands at a Spot.
      def at(spot) = Fitting::GESTURES.filter_map { |gesture| find(spot, gesture) }

      # All of a button, in their order.
      def of(ref) = @of.key?(ref) ? @of[ref].keys.map { |key| @rows[key] } : []

      # In place of the one on the same gesture, else as the last.
      def put(item)
        key = key(Spot.of(item), item["gesture"])
        @of[item["button"]][key] = true
        @rows[key] = item
      end

      def delete(spot, gesture)
        key = key(spot, gesture)
        @of[spot.button].delete(key) if @of.key?(spot.button)
        @rows.delete(key)
      end

      private

      def key(spot, gesture) = [spot.button, spot.place, spot.mode, gesture]
    end
  end
end
