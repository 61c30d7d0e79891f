# frozen_string_literal: true

module Kippen
  module Tuning
    # Numbers of the cells that the spans of a trace make of Points: the same number where every comparison falls the same
    # way. Traces of one shape number theirs alike.
    class CellNumbers
      # spans – { place of a Point => [µs…] } with which its value there is compared; places – those that may matter at all
      def initialize(spans, places)
        @parts = Array.new(Point::SIZE)
        places.reject { |place| spans.fetch(place).empty? }.inject(1) do |power, place|
          compared = spans.fetch(place)
          @parts[place] = Hash.new { |all, value| all[value] = signs(compared, value) * power }
          power * (3**compared.size)
        end
      end

      # Those of some places of which a value makes a difference.
      def parting(places) = places.select { |place| @parts[place] }

      # The part of a number that the values in some parting places make; the sum of all parts is the number.
      def part(values, places)
        number = 0
        index = 0
        while index < places.size
          place = places[index]
          number += @parts[place][values[place]]
          index += 1
        end
        number
      end

      private

      # Less, the same or more, of each span.
      def signs(compared, value)
        number = index = 0
        while index < compared.size
          span = compared[index]
          number *= 3
          number += value == span ? 1 : 2 if value >= span
          index += 1
        end
        number
      end
    end
  end
end
