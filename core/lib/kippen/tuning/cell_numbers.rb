# frozen_string_literal: true

module Kippen
  module Tuning
    # Numbers of the cells that the spans of a trace make of Points: the same number where every comparison falls the same
    # way. Traces of one shape number theirs alike.
    class CellNumbers
      # In µs, beyond any span and value.
      FAR = 2**60

      # spans – { place of a Point => [µs…] } with which its value there is compared; places – those that may matter at all
      def initialize(spans, places)
        @places = places.reject { |place| spans.fetch(place).empty? }
        @sorted = Array.new(Point::SIZE)
        @powers = Array.new(Point::SIZE)
        @places.inject(1) do |power, place|
          @sorted[place] = [*spans.fetch(place).uniq.sort, FAR]
          @powers[place] = power
          power * @sorted[place].size * 2
        end
        @order = @places.map { |place| spans.fetch(place).map { |span| @sorted[place].index(span) } }
      end

      # How the spans lie to each other: where that is the same, numbers mean the same.
      attr_reader :order

      # Those of some places of which a value makes a difference, and the others that do.
      def parted(among) = @places.partition { |place| among.include?(place) }

      # The part of a number that the values in some of these places make; the sum of all parts is the number.
      def part(values, places)
        number = index = 0
        while index < places.size
          number += find(places[index], values[places[index]])
          index += 1
        end
        number
      end

      # The same of columns of values at an index, and up to which index it stays the same (+size+ at most). This runs most of
      # all.
      def along(columns, index, places, size)
        number = turn = 0
        while turn < places.size
          place = places[turn]
          column = columns[place]
          number += find(place, column[index])
          size = after(column, index, size, @sorted[place]) if size > index + 1
          turn += 1
        end
        @upto = size
        number
      end

      attr_reader :upto

      private

      # The part of a value in a place; @above is the first of the sorted spans that is not below it.
      def find(place, value)
        sorted = @sorted[place]
        above = 0
        above += 1 while sorted[above] < value
        @above = above
        @powers[place] * (sorted[above] == value ? (2 * above) + 1 : 2 * above)
      end

      # Columns rise or fall all the way: the first beyond the span is looked for by halves.
      def after(column, index, high, sorted)
        return index + 1 if sorted[@above] == column[index]

        falls = column[-1] < column[0]
        bound = sorted[falls ? @above - 1 : @above]
        bound = -FAR if falls && @above.zero?
        low = index + 1
        while low < high
          middle = (low + high) / 2
          if falls ? column[middle] > bound : column[middle] < bound
            low = middle + 1
          else
            high = middle
          end
        end
        low
      end
    end
  end
end
