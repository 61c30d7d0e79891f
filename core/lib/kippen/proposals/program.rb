# frozen_string_literal: true

module Kippen
  module Proposals
    # The mixed-integer program of a table: one variable (0 or 1) for each offer, for each want on each slot of each offer, as its
    # first and its second way, and for each way that is missing. docs/reach.md has it in words and as a formula.
    class Program
      # A variable. kind – :offer, :way or :missing; cost – seconds a day; way – 1 or 2; want, button, gesture – ids; offer – its
      # place on the button
      Column = Struct.new(:kind, :cost, :want, :button, :gesture, :offer, :way, keyword_init: true)
      # low ≤ Σ of the columns' weights ≤ high; weights – { column => weight }
      Row = Struct.new(:weights, :low, :high)

      ENDLESS = Float::INFINITY

      attr_reader :table, :columns, :rows

      # narrow – says what can be left out, see Narrow
      def initialize(table, narrow: Narrow.new(table))
        @table = table
        @narrow = narrow
        @columns = []
        @rows = []
        @ways = Hash.new { |ways, want| ways[want] = { 1 => [], 2 => [] } }
        build
        @counted = @columns.each_index.select { |index| change?(@columns[index]) }.to_h { |column| [column, 1] }.freeze
        @rows.freeze
        freeze
      end

      # The same with so many changes at most; nil: any number.
      def limited(changes)
        return self if changes.nil? || @counted.empty?

        row = Row.new(@counted, -ENDLESS, changes)
        dup.tap { |other| other.instance_variable_set(:@rows, [*@rows, row].freeze) }.freeze
      end

      # Does a column serve a want that it doesn't serve today?
      def change?(column) = column.kind == :way && !@today.include?([column.want, column.button, column.gesture])

      private

      def build
        @today = table.today.to_set { |one| [one.want, one.button, one.gesture] }.freeze
        @fixed = table.fixed.to_set(&:want)
        @near = Hash.new { |near, (want, way)| near[[want, way]] = @narrow.buttons(want, way) }
        table.buttons.each { |button| offers(button) }
        table.wants.each { |want| want(want) }
        table.fixed.each { |one| fixed(one) }
      end

      def add(**column)
        @columns << Column.new(**column).freeze
        @columns.size - 1
      end

      # One offer; on a slot of it one want at most.
      def offers(button)
        chosen = @narrow.offers(button).map do |place|
          offer = button.offers[place]
          column = add(kind: :offer, cost: offer.cost_s, button: button.id, offer: place)
          offer.gestures.each { |gesture, slot| slot(button, place, column, [gesture, slot]) }
          column
        end
        @rows << Row.new(chosen.to_h { |column| [column, 1] }, 1, 1)
      end

      def slot(button, place, offer, (gesture, slot))
        columns = table.wants.select { |want| table.open?(want, button, gesture) }.flat_map do |want|
          near = (1..want.ways).select { |way| @near[[want, way]].include?(button.id) }
          near.filter_map { |way| way(want, button, [gesture, place, slot], way) }
        end
        @rows << Row.new(columns.to_h { |column| [column, 1] }.merge(offer => -1), -ENDLESS, 0) if columns.any?
      end

      def way(want, button, (gesture, place, slot), way)
        share = way == 1 ? 1 : table.second_share
        spot = [want.id, button.id, gesture]
        cost = (want.cost(slot, button) * share) + (@today.include?(spot) ? 0 : table.change_s)
        return if cost > worth(want, way) && !@fixed.include?(want.id)

        column = add(kind: :way, cost:, want: want.id, button: button.id, gesture:, offer: place, way:)
        @ways[want.id][way] << column
        column
      end

      # What is worse than going without is chosen by nobody; but a first way makes a second possible, and what stays may be it.
      def worth(want, way)
        return want.missing_second_s if way == 2

        want.missing_s + (want.ways == 2 ? want.missing_second_s : 0)
      end

      # Each way is there, or missing; the second only beside a first, and on another device.
      def want(want)
        (1..want.ways).each do |way|
          missing = add(kind: :missing, cost: way == 1 ? want.missing_s : want.missing_second_s, want: want.id, way:)
          @rows << Row.new([*@ways[want.id][way], missing].to_h { |column| [column, 1] }, 1, 1)
        end
        second(want) if want.ways == 2
      end

      def second(want)
        first, second = @ways[want.id].values_at(1, 2)
        @rows << Row.new(second.to_h { |column| [column, 1] }.merge(first.to_h { |column| [column, -1] }), -ENDLESS, 0)
        (first + second).group_by { |column| table.button(@columns[column].button).device }.each_value do |same|
          @rows << Row.new(same.to_h { |column| [column, 1] }, -ENDLESS, 1)
        end
      end

      # As either way.
      def fixed(serves)
        there = @ways[serves.want].values.flatten.select do |column|
          @columns[column].button == serves.button && @columns[column].gesture == serves.gesture
        end
        @rows << Row.new(there.to_h { |column| [column, 1] }, 1, 1)
      end
    end
  end
end
