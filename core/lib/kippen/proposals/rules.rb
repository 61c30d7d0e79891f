# frozen_string_literal: true

module Kippen
  module Proposals
    # Which rules can't all be kept: those that must stay are tried without each of the others, until none can be left out
    # without it becoming possible.
    module Rules
      # [Serves] of the fixed ones that stand against each other, or against what is closed; empty where they don't.
      def self.broken(table, solver, seconds:)
        return [] if possible?(table, table.fixed, solver, seconds)

        table.fixed.reduce(table.fixed) do |left, one|
          without = left - [one]
          possible?(table, without, solver, seconds) ? left : without
        end
      end

      def self.possible?(table, fixed, solver, seconds)
        solver.solve(Program.new(table.with(fixed:)), seconds:).status != "impossible"
      end
      private_class_method :possible?
    end
  end
end
