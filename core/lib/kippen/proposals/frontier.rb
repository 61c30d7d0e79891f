# frozen_string_literal: true

module Kippen
  module Proposals
    # The least that a day costs for each number of changes from 0, up to the first number that reaches the best of all.
    class Frontier
      # Less than this is no less.
      CLOSE = 1e-6
      # More changes than this nobody makes at once.
      MOST = 50

      # One number of changes: program, solved; cost – seconds a day, each change's own included
      Step = Struct.new(:changes, :program, :solved, :cost, keyword_init: true)

      # seconds – for all of it; yields [steps so far, at most so many] each time one is done
      def initialize(table, solver, seconds: SECONDS, clock: nil, &progress)
        @table = table
        @solver = solver
        @seconds = seconds
        @clock = clock
        @progress = progress || ->(*) {}
      end

      # most – changes at most, or nil. Returns [[Step…], best Step]; no steps where nothing was found for the best.
      def steps(most: nil)
        best = step(most)
        return [[], best] unless best.solved.found?

        @progress.call(1, used(best) + 2)
        found = []
        (0..[used(best), MOST].min).each do |count|
          one = step(count)
          found << one if one.solved.found?
          @progress.call(count + 2, used(best) + 2)
          break if one.solved.found? && one.cost <= best.cost + CLOSE
        end
        [found, found.last && found.last.cost <= best.cost + CLOSE ? found.last : best]
      end

      # With at most so many changes, nil: any number.
      def step(changes)
        program = whole.limited(changes)
        solved = @solver.solve(program, seconds: left)
        Step.new(changes:, program:, solved:, cost: solved.found? ? solved.cost(program) : nil).freeze
      end

      # How many changes a Step makes.
      def used(step) = step.solved.chosen(step.program).count { |column| step.program.change?(column) }

      private

      def whole = @whole ||= Program.new(@table)

      # What is left of the time, and a little for each: a proposal that was begun says something.
      def left
        return @seconds unless @clock

        @began ||= @clock.call
        [@seconds - (@clock.call - @began), 0.2].max
      end
    end
  end
end
