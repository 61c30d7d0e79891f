# frozen_string_literal: true

module Kippen
  module Proposals
    # What is best, as JSON: what is chosen, what is missing, and what each number of changes comes to.
    module Answer
      module_function

      # table – Table; most – changes at most. Returns a Hash, see docs/reach.md.
      def of(table, solver, most: nil, **how, &progress)
        frontier = Frontier.new(table, solver, **how, &progress)
        steps, best = frontier.steps(most:)
        return nothing(best, table, solver, how) unless best.solved.found?

        at = { "status" => best.solved.status == "stopped" ? "stopped" : "optimal", "gap" => best.solved.gap }
        at.merge(chosen(best), "changes" => frontier.used(best), "frontier" => steps.map do |one|
          [one.changes, one.cost.round(6)]
        end)
      end

      # What a Frontier::Step has chosen.
      def chosen(step)
        columns = step.solved.chosen(step.program)
        { "cost_s_a_day" => step.cost.round(6),
          "chosen" => columns.select { |one| one.kind == :way }.map { |one| serves(one) },
          "offers" => columns.select { |one| one.kind == :offer }.to_h { |one| [one.button, one.offer] },
          "missing" => columns.select { |one| one.kind == :missing && one.way == 1 }.map(&:want) }
      end

      def serves(column)
        { "want" => column.want, "button" => column.button, "gesture" => column.gesture, "way" => column.way }
      end

      # The time was over before anything was found, or the rules can't all be kept.
      def nothing(best, table, solver, how)
        return { "status" => "stopped", "gap" => nil, "frontier" => [] } if best.solved.status == "stopped"

        broken = Rules.broken(table, solver, seconds: how.fetch(:seconds, SECONDS))
        { "status" => "impossible",
          "rules" => broken.map { |one| { "want" => one.want, "button" => one.button, "gesture" => one.gesture } } }
      end
      private_class_method :serves, :nothing
    end
  end
end
