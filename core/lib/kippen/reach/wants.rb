# frozen_string_literal: true

module Kippen
  module Reach
    # Which of a client's wants a button does already.
    class Wants
      # A way to a want; place – where it was asked, mode – that has to be taken first; builtin – the
      # button's own doing
      Way = Struct.new(:button, :gesture, :place, :mode, :builtin, keyword_init: true)

      def self.of(fitting, knowledge)
        fitting.recall([:wants, knowledge.kinds.object_id]) { new(fitting, knowledge.of(fitting)) }
      end

      def initialize(fitting, knowledge)
        @fitting = fitting
        @kinds = knowledge.kinds
        @catalogue = knowledge.catalogue
        @at = {}
      end

      # [Way]. What is assigned everywhere holds in each app that has nothing else; a want without
      # hosts is met on any.
      def ways(want)
        return [] unless want.action

        at(want.place).fetch(@catalogue.plain(want.action), []).select do |way|
          want.hosts.empty? || want.hosts.include?(way.button.host)
        end
      end

      # "done", "open" (no button does it yet) or "no_action" (nobody said which action it is).
      def state(want)
        return "no_action" unless want.action

        ways(want).empty? ? "open" : "done"
      end

      def open = @fitting.wants.reject { |want| state(want) == "done" }

      private

      # { action as the catalogue compares it => [Way] } of a place, in every mode one can come into.
      def at(place) = @at[place] ||= all(place).group_by(&:first).transform_values { |list| list.map(&:last).uniq }

      def all(place)
        ways_in = WaysIn.of(@fitting)
        spot = Press::Resolver.of(@fitting).spot(@fitting.where(place))
        @fitting.buttons.reject(&:off).flat_map do |button|
          modes = ways_in.modes(button.host).select { |mode| mode == Fitting::BASE || own?(button, mode, spot) }
          modes.flat_map { |mode| of(button, mode, place) }
        end
      end

      # What a mode doesn't say, base does already; a mode in which the rest is itself brings that back.
      def own?(button, mode, spot)
        Press::Resolver.of(@fitting).own?(button, mode, spot) || @fitting.mode(mode).otherwise == "builtin"
      end

      def of(button, mode, place)
        WhatHappens.gestures(@fitting, button, mode, place).filter_map do |gesture, assignment|
          action = WhatHappens.action(@fitting, @kinds, button, assignment) or next
          [@catalogue.plain(action),
           Way.new(button:, gesture:, place:, mode:, builtin: assignment.nil? || assignment.action["kind"] == "builtin").freeze]
        end
      end
    end
  end
end
