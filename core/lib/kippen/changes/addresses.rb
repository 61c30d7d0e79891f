# frozen_string_literal: true

module Kippen
  module Changes
    # Where two documents differ, each place by an address: the steps that lead to it.
    # ["assignments", button, place, mode], ["button_timing", button, setting], ["devices", id, "name"],
    # ["devices", id, "buttons", id, "off"], ["wants", id], ["follow"] …
    # What is there is told as a slot: [] where there is nothing, [value]; of assignments all of the spot.
    class Addresses
      # What is looked into, and by which member the items of a list are named; all else is one thing.
      ITEM = {}.freeze
      MAP = { map: nil }.freeze
      BY_ID = { list: "id" }.freeze
      SHAPE = {
        "assignments" => { spots: true }, "button_timing" => { map: MAP }, "timing" => MAP, "client" => MAP,
        "hosts" => { list: "id", of: { "settings" => MAP } },
        "devices" => { list: "id",
                       of: { "settings" => MAP, "timing" => MAP, "ready" => MAP, "buttons" => { list: "id", of: ITEM } } },
        "wants" => BY_ID, "apps" => BY_ID, "modes" => BY_ID, "places" => BY_ID, "shortlists" => BY_ID, "cues" => MAP,
        "hands" => BY_ID, "known" => BY_ID,
        "arrangements" => BY_ID, "kinds" => BY_ID, "taken_out" => BY_ID, "links" => { list: "to" }
      }.freeze

      # Takes two documents; returns { address => [slot before, slot after] }.
      def self.changed(one, other) = new.changed(one, other)

      def changed(one, other)
        @found = {}
        members(SHAPE, one, other, [])
        @found
      end

      private

      def members(shape, one, other, path)
        (one.keys | other.keys).each { |name| walk(shape[name], slot(one, name), slot(other, name), [*path, name]) }
      end

      def slot(hash, name) = hash.key?(name) ? [hash[name]] : []

      # a, b – slots of the same address
      def walk(shape, a, b, path)
        return if (a.size == b.size && a[0].equal?(b[0])) || a == b

        inside(shape, a, b, path) || @found[path] = [a, b]
      end

      # Looks into what is there, where it is of the shape it should be.
      def inside(shape, a, b, path)
        return if shape.nil?

        kind = shape.key?(:map) ? Hash : Array
        return unless [*a, *b].all?(kind)
        return spots(a[0] || [], b[0] || [], path) if shape[:spots]

        shape[:list] ? list(shape, a[0] || [], b[0] || [], path) : map(shape, a[0] || {}, b[0] || {}, path)
      end

      def map(shape, one, other, path)
        (one.keys | other.keys).each { |name| walk(shape[:map], slot(one, name), slot(other, name), [*path, name]) }
      end

      def list(shape, one, other, path)
        before, after = [one, other].map { |items| items.group_by { |item| item[shape[:list]] } }
        (before.keys | after.keys).each do |id|
          a = before.fetch(id, [])
          b = after.fetch(id, [])
          next if a == b
          next members(shape[:of], a[0], b[0], [*path, id]) if shape[:of] && a.size == 1 && b.size == 1

          @found[[*path, id]] = [a, b]
        end
      end

      def spots(one, other, path)
        changed = moved(one, other) | moved(other, one)
        buttons = changed.to_set(&:button)
        before, after = [one, other].map do |items|
          items.select { |item| buttons.include?(item["button"]) }.group_by { |item| Spot.of(item) }
        end
        changed.each do |spot|
          a = before.fetch(spot, [])
          b = after.fetch(spot, [])
          @found[[*path, *spot.to_a]] = [a, b] unless a.to_set == b.to_set
        end
      end

      # Spots of items that the others do not have; what is the same object needs no comparing.
      def moved(items, others)
        same = Set.new.compare_by_identity.merge(others)
        items.reject { |item| same.include?(item) }.to_set { |item| Spot.of(item) }
      end
    end
  end
end
