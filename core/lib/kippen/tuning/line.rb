# frozen_string_literal: true

module Kippen
  module Tuning
    # All values of one setting, the others as they are; and what trials cost along it, in sums that say only where they change.
    class Line
      attr_reader :size, :first, :places, :columns, :wrong, :price

      # values – of the setting, from the least on; yields a timing, wants its Point
      def initialize(timing, setting, values, &point)
        @timing = timing
        @setting = setting
        @values = values
        @point = point
        @size = values.size
        @first = point(0)
        @us = values.map { |value| Fitting::Timing.microseconds(value) }
        # Those of the Point that go with the setting, and its values there.
        @places = Point::GOING_WITH.fetch(setting)
        @columns = Array.new(Point::SIZE) { |place| column(place, Point::PLACES[setting][place]) }
        @changes = Array.new(@size + 1, 0.0)
        @rises = Array.new(@size + 1, 0.0)
      end

      def point(index) = @point.call(@timing.merge(@setting => @values[index]))

      # Does the value in this place go with the setting as it is set?
      def own?(place) = place && @columns[place] && Point::DURATIONS.include?(place)

      # What the trial that is added now costs: where it comes out wrong, and each µs of one that comes out right.
      def weigh(wrong, price)
        @wrong = wrong
        @price = price
      end

      # Each value from an index up to another costs so much, and so much more for each µs of it.
      def add(from, upto, cost, rise = 0.0)
        @changes[from] += cost
        @changes[upto] -= cost
        return if rise.zero?

        @rises[from] += rise
        @rises[upto] -= rise
      end

      # What each value costs altogether.
      def costs
        cost = rise = 0.0
        Array.new(@size) do |index|
          cost += @changes[index]
          rise += @rises[index]
          cost + (rise * @us[index])
        end
      end

      private

      def column(place, way)
        at = @first.values[place]
        way && @us.map { |us| at + (way * (us - @us[0])) }
      end
    end
  end
end
