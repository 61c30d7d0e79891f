# frozen_string_literal: true

module Kippen
  module Proposals
    # What of a table can be left out without any proposal becoming dearer: so that the program stays small.
    #
    # An offer that another one of its button is at least as good as, in everything, is chosen by nobody. And of a want's buttons
    # only so many of the best need be looked at as there are ways in all: each other way takes one button away at most, so one
    # of these is free whenever another would be chosen. Where a second way is wanted, that holds on each device.
    class Narrow
      def initialize(table)
        @table = table
        @ways = table.wants.sum(&:ways)
        @kept = {}
        @near = (table.today + table.fixed).group_by(&:want).transform_values { |list| list.map(&:button) }
      end

      # Places of a button's offers that are worth looking at.
      def offers(button)
        @kept[button.id] ||= begin
          all = button.offers.each_with_index.to_a
          all.reject { |offer, place| all.any? { |other, its| better?(other, its, offer, place) } }.map(&:last)
        end
      end

      # Ids of the buttons on which a want's first or second way may be.
      def buttons(want, way)
        scored = scored(want, way == 1 ? 1 : @table.second_share)
        best = want.ways == 1 ? scored.first(@ways) : scored.group_by(&:device).values.flat_map { |own| own.first(@ways) }
        best.to_set(&:id).merge(@near.fetch(want.id, []))
      end

      private

      # Those on which a want can be, the cheapest first.
      def scored(want, share)
        costs = @table.buttons.select { |button| button.host == want.host }.to_h { |button| [button, least(want, button, share)] }
        costs.compact.sort_by.with_index { |(_, cost), at| [cost, at] }.map(&:first)
      end

      # Has another offer all gestures of this one, each as good, at no more cost? Of two that are the same the first stays.
      def better?(other, its, offer, place)
        return false if its == place || other.cost_s > offer.cost_s

        as_good = offer.gestures.all? { |gesture, slot| (one = other.gestures[gesture]) && as_good?(one, slot) }
        as_good && (its < place || !same?(other, offer))
      end

      def as_good?(one, slot) = one.presses <= slot.presses && one.seconds <= slot.seconds && one.right >= slot.right
      def same?(one, other) = one.cost_s == other.cost_s && one.gestures == other.gestures

      # What a want costs on a button at least, with what its offer costs more than the cheapest; nil where it can't be there.
      def least(want, button, share)
        usual = button.offers.map(&:cost_s).min
        costs = offers(button).flat_map do |place|
          offer = button.offers[place]
          open = offer.gestures.select { |gesture, _| @table.open?(want, button, gesture) }.values
          open.map { |slot| (want.cost(slot, button) * share) + offer.cost_s - usual }
        end
        costs.min
      end
    end
  end
end
