# frozen_string_literal: true

module Kippen
  module Tuning
    # One trace under many timings. What comes of it is decided by comparing times: of events, of events with a setting
    # added, with each other. Where all these comparisons fall the same way the same comes out, of this trace and of any
    # other of its shape; so each such cell is replayed once, and of a total it is known from which event on it runs with
    # which setting.
    class Cells
      # Beyond so many rows there are more comparisons than they save replays.
      MOST_ROWS = 10

      # score – of some Point and trace in it; from, to – which events a right one's total lies between; place – of the
      # duration that is added, or nil
      Found = Struct.new(:right, :score, :from, :to, :place)

      # contacts – rows of one trace; kept – { [shape, counts] => { cell's number => Found } } of all traces with that
      # intention; used – places of a Point that may matter at all; judge – Judge; double_click_us – of the host, or nil
      def initialize(intended, contacts, kept, used, judge, double_click_us)
        @intended = intended
        @contacts = contacts
        @kept = kept
        @used = used
        @judge = judge
        @times = contacts.map(&:first)
        @clicks = !double_click_us.nil?
        @shape = Compared.shape(contacts, double_click_us)
        @numbers = Array.new(4)
        @found = Array.new(4)
      end

      # The Judge::Score under a Point.
      def score(point)
        found = found(point)
        found.score.total_us ? Judge::Score.new("right", found.score.got, total(found, point)) : found.score
      end

      # To each of +sums+ is added what the trial costs under the Point at the same place. moved – the places in which the
      # points differ (all where they differ in what is counted from); weight – of the trial; price – of a µs. One method,
      # for it runs most of all.
      def add_costs(sums, points, moved, weight, price) # rubocop:disable Metrics
        return points.each_with_index { |point, index| sums[index] += cost(point, weight, price) } if moved.equal?(Point::ALL)

        numbers = numbers(points[0])
        cells = cells(points[0])
        rest = numbers.part(points[0].values, numbers.parting(Point::ALL - moved))
        moved = numbers.parting(moved)
        cell = cells[rest + numbers.part(points[0].values, moved)] || learn(points[0])
        index = 0
        while index < points.size
          point = points[index]
          cell = cells[rest + numbers.part(point.values, moved)] || learn(point) unless moved.empty?
          sums[index] += cell.right ? weight * price * total(cell, point) : weight
          index += 1
        end
      end

      private

      def cost(point, weight, price) = found(point).then { |cell| cell.right ? weight * price * total(cell, point) : weight }
      def found(point) = cells(point)[number(point)] || learn(point)
      def cells(point) = @found[point.counts] ||= (@kept[[@shape, point.counts]] ||= {})
      def numbers(point) = @numbers[point.counts] ||= CellNumbers.new(Compared.spans(@contacts, point.counts, clicks: @clicks), @used)
      def number(point) = numbers(point).then { |numbers| numbers.part(point.values, numbers.parting(Point::ALL)) }

      # Kept where it can be told with what the total runs.
      def learn(point)
        rows = @judge.outcomes(@contacts, point.timing)
        score = @judge.score(@intended, rows)
        ways = score.total_us ? ways(point, rows[0]) : [nil]
        found = Found.new(score.right?, score, *ways.first).freeze
        cells(point)[number(point)] = found if ways.size == 1
        found
      end

      # [[from, to, place]…] that a total may come from: an event, or one with a duration added.
      def ways(point, row)
        from = @times.index(row.began_us)
        [nil, *(@used & Point::DURATIONS)].filter_map do |place|
          to = @times.index(row.at_us - (place ? point.values[place] : 0))
          [from, to, place] if to && (place.nil? || point.values[place].positive?)
        end
      end

      # In µs; 0 where there is none.
      def total(found, point)
        return 0 unless found.to

        span = @times[found.to] - @times[found.from]
        found.place ? span + point.values[found.place] : span
      end
    end
  end
end
