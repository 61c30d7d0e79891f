# frozen_string_literal: true

module Kippen
  module Proposals
    # What a solver says of a Program. status – "optimal", "stopped" (the time was over: the best so far) or "impossible";
    # taken – of the columns, 0 or 1, nil where nothing was found; gap – how much less it might cost, as a share of it
    Solved = Struct.new(:status, :taken, :gap, keyword_init: true) do
      def with(**members) = self.class.new(**to_h, **members)
      def found? = !taken.nil?

      # [Program::Column] that are chosen.
      def chosen(program)
        program.columns.each_index.select { |index| taken[index] > 0.5 }.map { |index| program.columns[index] }
      end

      # Seconds a day, added up from the table: not what the solver's arithmetic left.
      def cost(program) = chosen(program).sum(&:cost)
    end
  end
end
