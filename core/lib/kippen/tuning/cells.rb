# frozen_string_literal: true

module Kippen
  module Tuning
    # One trace under many timings. What comes of it is decided by comparing times: of events, of events with a setting
    # added, with each other. Where all these comparisons fall the same way the same comes out, of this trace and of any
    # other of its shape; so each such cell is replayed once, and of a total it is known from which event on it runs with
    # which setting.
    class Cells
      # Beyond so many rows there are more comparisons than they save replays.
      MOST_ROWS = 16

      # score – of some Point and trace in it; from, to – which events a right one's total lies between; place – of the
      # duration that is added, or nil
      Found = Struct.new(:right, :score, :from, :to, :place)
      # What traces of one shape share: { cell's number => Found }, { places => those that part cells, and the others that do }
      Shared = Struct.new(:cells, :parted)

      # contacts – rows of one trace; kept – { [shape, counts] => Shared } of all traces with that
      # intention; used – places of a Point that may matter at all; judge – Judge; double_click_us – of the host, or nil
      def initialize(intended, contacts, kept:, used:, judge:, double_click_us:)
        @intended = intended
        @contacts = contacts
        @all = kept
        @used = used
        @judge = judge
        @times = contacts.map(&:first)
        @clicks = !double_click_us.nil?
        @shape = Compared.shape(contacts, double_click_us)
        @numbers = Array.new(4)
        @shared = Array.new(4)
      end

      # The Judge::Score under a Point.
      def score(point)
        found = found(point)
        found.score.total_us ? Judge::Score.new("right", found.score.got, total(found, point)) : found.score
      end

      # What the trial costs under a Point. weight – of the trial; price – of a µs
      def cost(point, weight, price)
        found = found(point)
        found.right ? weight * price * total(found, point) : weight
      end

      # To a Line is added what the trial costs under each of its values.
      def add_costs(line, weight, price)
        numbers = numbers(line.first)
        along, others = parted(line.first, line.places)
        line.weigh(weight, weight * price)
        add_cells(line, numbers, along, numbers.part(line.first.values, others))
      end

      private

      # rest – the part of the others; this runs most of all.
      def add_cells(line, numbers, along, rest)
        cells = shared(line.first).cells
        index = 0
        while index < line.size
          number = rest + numbers.along(line.columns, index, along, line.size)
          upto = numbers.upto
          cell = cells[number] || learn(line.point(index))
          upto = index + 1 unless cells.key?(number)
          add_cell(line, index, upto, cell)
          index = upto
        end
      end

      def add_cell(line, index, upto, cell)
        return line.add(index, upto, line.wrong) unless cell.right

        price = line.price
        return line.add(index, upto, price * (@times[cell.to] - @times[cell.from]), price) if line.own?(cell.place)

        line.add(index, upto, price * total(cell, line.first))
      end

      def found(point) = shared(point).cells[number(point)] || learn(point)

      def shared(point)
        @shared[point.counts] ||= (@all[[@shape, point.counts, numbers(point).order]] ||= Shared.new({}, {}.compare_by_identity))
      end

      def numbers(point)
        @numbers[point.counts] ||= CellNumbers.new(Compared.spans(@contacts, point.counts, clicks: @clicks), @used)
      end

      def number(point) = numbers(point).part(point.values, parted(point, Point::ALL)[0])
      def parted(point, places) = shared(point).parted[places] ||= numbers(point).parted(places)

      # Kept where it can be told with what the total runs.
      def learn(point)
        rows = @judge.outcomes(@contacts, point.timing)
        score = @judge.score(@intended, rows)
        ways = score.total_us ? ways(point, rows[0]) : [nil]
        found = Found.new(score.right?, score, *ways.first).freeze
        shared(point).cells[number(point)] = found if ways.size == 1
        found
      end

      # [[from, to, place]…] that a total may come from: an event, or one with a duration added.
      def ways(point, row)
        from = @times.index(row.began_us)
        [nil, *durations(point)].filter_map do |place|
          due = row.at_us - (place ? point.values[place] : 0)
          to = @contacts.index { |at, event| at == due && counted_from?(event, place, point.counts) }
          [from, to, place] if to && (place.nil? || point.values[place].positive?)
        end
      end

      # A bridge runs from letting go, a brush guard and a long-press from pressing, a tap gap as it is set.
      def counted_from?(event, place, counts)
        case place
        when 0 then event == "up"
        when 2, 3 then event == "down"
        when 4 then event == (counts.odd? ? "up" : "down")
        else true
        end
      end

      # Where two are as long as each other all over the cell, one of them is enough.
      def durations(point)
        same = [([4] if point.counts.odd? && point.values[5].zero?), ([3] if point.values[6].zero?)].compact.flatten
        (@used & Point::DURATIONS) - same
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
