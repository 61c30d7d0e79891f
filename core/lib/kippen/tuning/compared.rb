# frozen_string_literal: true

module Kippen
  module Tuning
    # Which spans of a trace are compared with which durations, by the engine (see the timers of Press::Engine#arm) and by
    # the host that makes a double-click. In the order in which the events come, so that traces of one shape have theirs in
    # the same places.
    module Compared
      module_function

      # { place of a Point => [µs…] }; a bridge or brush guard of 0 is none. counts – of the Point; clicks – does the host
      # count them?
      def spans(contacts, counts, clicks:)
        held, apart, gaps, again = [%w[down up], %w[down down], %w[up down], %w[up up]].map do |from, to|
          between(contacts, from, to)
        end
        released = counts.odd?
        all = clicks ? held + apart + gaps + again : []
        { 0 => [0, *gaps], 1 => counts > 1 ? gaps : apart, 2 => [0, *held, *apart], 3 => held + apart,
          4 => released ? gaps : apart,
          5 => released ? [0, *again] : held, 6 => [0], 7 => all, 8 => all }
      end

      # What else must be the same of traces of which the same comes: the order of the events, which come at one instant, and
      # which lie closer than the host's double-click time.
      def shape(contacts, double_click_us)
        rows = contacts.each_with_index.map do |(at, kind), index|
          index.positive? && contacts[index - 1][0] == at ? "=#{kind}" : kind
        end
        near = double_click_us ? contacts.combination(2).map { |one, other| other[0] - one[0] <=> double_click_us } : []
        [rows.join, near.join].join("|")
      end

      # From each event of a kind to each later one of another.
      def between(contacts, from, to)
        contacts.each_with_index.flat_map do |(at, kind), index|
          kind == from ? contacts.drop(index + 1).filter_map { |other, its| other - at if its == to } : []
        end
      end
      private_class_method :between
    end
  end
end
