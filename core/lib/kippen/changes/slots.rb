# frozen_string_literal: true

module Kippen
  module Changes
    # What is at an address of a document, see Addresses, and the document with something else there.
    module Slots
      ROOT = { map: nil, of: Addresses::SHAPE }.freeze

      module_function

      # The slot at an address.
      def at(document, address)
        member, *rest = address
        return document.fetch("assignments", []).select { |item| Spot.of(item).to_a == rest } if member == "assignments"

        value, = address.reduce([document, ROOT]) { |(place, shape), step| step_into(place, shape, step) || (return []) }
        [value]
      end

      # The document with a slot in place of what is at an address.
      def put(document, address, slot)
        member, *rest = address
        return put_spot(document, rest, slot) if member == "assignments" && rest.any?

        put_in(document, ROOT, address, slot)
      end

      def put_spot(document, spot, items)
        list = document.fetch("assignments", [])
        kept = list.reject { |item| Spot.of(item).to_a == spot }
        document.merge("assignments" => kept + items)
      end

      # What has to be there for it and is not is made: a list or a map.
      def put_in(value, shape, (step, *rest), slot)
        return put_item(value, shape, [step, *rest], slot) if shape && shape[:list]
        return slot.empty? ? value.except(step) : value.merge(step => slot[0]) if rest.empty?

        inner = shape && (shape[:of] ? shape[:of][step] : shape[:map])
        changed = put_in(value.fetch(step) { inner && inner[:list] ? [] : {} }, inner, rest, slot)
        changed == {} && slot.empty? ? value.except(step) : value.merge(step => changed)
      end

      def put_item(list, shape, (id, *rest), slot)
        index = list.index { |one| one[shape[:list]] == id }
        return list + slot if index.nil?

        inner = { map: nil, of: shape[:of] || Addresses::ITEM }
        there = rest.empty? ? slot : [put_in(list[index], inner, rest, slot)]
        list[0...index] + there + list[(index + 1)..]
      end

      # One step further: [value, shape], or nil where there is nothing.
      def step_into(value, shape, step)
        return item(value, shape, step) if shape && shape[:list]

        return unless value.is_a?(Hash) && value.key?(step)

        [value[step], shape && (shape[:of] ? shape[:of][step] : shape[:map])]
      end

      def item(list, shape, id)
        found = list.is_a?(Array) ? list.find { |one| one[shape[:list]] == id } : nil
        found && [found, { map: nil, of: shape[:of] || Addresses::ITEM }]
      end
      private_class_method :put_spot, :put_in, :put_item, :step_into, :item
    end
  end
end
