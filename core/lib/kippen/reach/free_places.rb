# frozen_string_literal: true

module Kippen
  module Reach
    # Where an action could go that does nothing else yet, and what it would cost there.
    class FreePlaces
      # button – Fitting::Button; costs – what the other gestures would wait longer, in words;
      # loses – what the button does by itself that would no longer come about, in words
      Free = Struct.new(:button, :gesture, :costs, :loses, keyword_init: true)

      # deadline – how long it may take
      def initialize(fitting, knowledge, deadline: Deadline::NEVER)
        @deadline = deadline
        @fitting = fitting
        @kinds = knowledge.kinds
        @catalogue = knowledge.catalogue
        @cautions = Cautions.new(fitting, knowledge)
      end

      # action – a JSON object; hosts – ids, empty for any. Returns [Free], by button. Raises Deadline::Passed.
      def of(action, place: Fitting::EVERYWHERE, mode: Fitting::BASE, hosts: [])
        buttons = @fitting.buttons.reject { |button| button.off || (hosts.any? && !hosts.include?(button.host)) }
        buttons.flat_map { |button| @deadline.check || on(Press::Lane.new(@fitting, button, place:, mode:), action) }
      end

      private

      def on(lane, action)
        found = tap(lane, action) + lane.empties(held_back: @cautions.held_back?(lane.button)).map do |empty|
          free(lane, empty.gesture, action, costs: costs(empty))
        end
        found.select do |free|
          @cautions.reasons(lane.button, { "gesture" => free.gesture, "action" => action, "mode" => lane.mode }).empty?
        end
      end

      # What an untouched button does by itself gives way to it.
      def tap(lane, action)
        lane.choice.kind == :builtin ? [free(lane, "tap", action, loses: [lane.button.builtin].compact)] : []
      end

      def free(lane, gesture, action, costs: [], loses: [])
        Free.new(button: lane.button, gesture:, costs:, loses: loses + own_lost(lane, gesture, action)).freeze
      end

      def costs(empty) = empty.costs.filter_map { |gesture, before, after| Words.cost(gesture, before, after) }

      # What is made of presses that are passed through, and would be no longer.
      def own_lost(lane, gesture, action)
        kept = ->(choice) { OwnDoing.on(@fitting, @kinds, lane, choice:).select(&:kept).map(&:words) }
        kept[lane.choice] - kept[lane.with(gesture, action)]
      end
    end
  end
end
