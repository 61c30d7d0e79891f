# frozen_string_literal: true

module Kippen
  class Catalogue
    # The entry of several actions by one press: what must be known of them is made of their own entries.
    class Several < Entry
      COSTS = Fitting::WantsReader::WRONG

      # general – the Entry of several steps in general; action – whose Steps can be made out
      def initialize(general, apps, action, catalogue)
        @catalogue = catalogue
        @steps = Steps.of(action)
        @each = @steps.map { |step| catalogue.entry(step.action) }
        super(general.data.merge(made).compact, [general.group, general.group_name], apps)
      end

      def name_of(_action) = Words.say(:steps_name, count: @steps.size, names: names.join(", "))

      def effect_of(_action) = Words.say(:steps_effect, names: in_order.join("; "))

      # [sentence…], one a step, in order.
      def in_order
        names.zip(@steps).map do |name, step|
          step.pause_ms.zero? ? name : Words.say(:steps_after, pause: Words.pause(step.pause_ms), name:)
        end
      end

      def faults(action)
        inner = @steps.each_with_index.flat_map do |step, index|
          (@each[index]&.faults(step.action) ||
           []).map { |member, fault| ["steps/#{index}/action/#{member}", fault] } + held(step, index)
        end
        super + inner
      end

      # What takes each back, the last one first: [[name, Entry or words or nil]…].
      def back
        @each.zip(names).reverse.map do |entry, name|
          [name, entry && (entry.facts["undone_by"]&.then { |id| @catalogue.find(id) } || entry.facts["undo"])]
        end
      end

      private

      def names = @steps.map { |step| @catalogue.name(step.action) }

      # What lasts as long as a button is held can't be one of several.
      def held(step, index)
        @each[index]&.only(step.action) ? [["steps/#{index}/action", Words.say(:no_step)]] : []
      end

      def made
        known = @each.compact
        { "hosts" => all(@steps.map { |step| @catalogue.hosts(step.action) }),
          "locked" => all(@each.map { |entry| entry&.locked }),
          "silent" => @each.all? { |entry| entry&.silent? },
          "harm" => known.map(&:harm).max_by { |harm| COSTS.index(harm["cost"]) },
          "needs" => sentences("needs"), "after" => sentences("after"), "undo" => taken_back }
      end

      # What all have in common; nil where of one it isn't known.
      def all(lists) = lists.compact.reduce(:&)

      def sentences(fact)
        @each.compact.filter_map { |entry| entry.facts[fact] }.uniq.then { |told| told.join(" ") if told.any? }
      end

      def taken_back
        back.map do |name, how|
          if how
            Words.say(:steps_back_how, name:, how: how.is_a?(Entry) ? how.name : how.delete_suffix("."))
          else
            Words.say(:steps_back_not, name:)
          end
        end
          .join("; ").concat(".")
      end
    end
  end
end
