# frozen_string_literal: true

module Kippen
  module Changes
    # A list of the document in its order, found by what names its items.
    class List
      # by – the member that names them
      def initialize(items, by)
        @by = by
        @items = items.to_h { |item| [item[by], item] }
      end

      def to_a = @items.values
      def ids = @items.keys
      def find(id) = @items[id]
      def put(item) = @items[item[@by]] = item
      def delete(id) = @items.delete(id)
      def index(id) = @items.keys.index(id)

      # At a place in the order, as far as there are so many.
      def insert(item, index)
        all = @items.to_a
        all.insert([index, all.size].min, [item[@by], item])
        @items = all.to_h
      end
    end
  end
end
