# frozen_string_literal: true

module Kippen
  module Reach
    # Which modes one can come into on each host: from base, by what really takes them.
    class WaysIn
      def self.of(fitting) = fitting.recall(:ways_in) { new(fitting) }

      def initialize(fitting)
        @fitting = fitting
        taking = fitting.assignments.select { |one| one.mode_action? && one.action["mode"] }
        @modes = fitting.hosts.to_h do |host|
          [host.id, reach(taking.select { |one| fitting.button(one.button).host == host.id })]
        end
        freeze
      end

      # [id] of a host, base first.
      def modes(host) = @modes.fetch(host)

      private

      # One leads to the next, until nothing new is reached.
      def reach(taking)
        reached = [Fitting::BASE]
        loop do
          found = taking.select { |one| !reached.include?(one.action["mode"]) && reached.any? { |mode| happens?(one, mode) } }
          return reached.freeze if found.empty?

          reached |= found.map { |one| one.action["mode"] }
        end
      end

      # WhatHappens it come about in a mode, where it stands?
      def happens?(one, mode)
        return false unless [mode, Fitting::BASE].include?(one.mode)

        WhatHappens.gestures(@fitting, @fitting.button(one.button), mode, one.place).any? do |_, assignment|
          assignment.equal?(one)
        end
      end
    end
  end
end
