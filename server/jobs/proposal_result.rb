# frozen_string_literal: true

module Kippen
  module Server
    # What a proposal comes to, as it is kept: each number of changes with what it changes and saves, why each want is where it
    # is, and what all of it rests on.
    class ProposalResult
      # Of work of a core, for asking again why and what if.
      WHY_S = 20.0
      # Steps of a Progress that the questions after the frontier count for.
      AFTER = 2

      # What the client's presses are read by, see CheckPresses.
      Source = Struct.new(:trials, :sittings)

      # row – of the proposal
      def initialize(database, row, progress)
        @database = database
        @row = row
        @progress = progress
        @client = row[:client_id]
      end

      def to_h
        table = Proposals::Table.read(from.document)
        frontier = Proposals::Frontier.new(table, solver, clock: OWN_WORK) { |done, of| tell(done, of) }
        steps, best = frontier.steps
        return { "kippen" => Store::Proposals::FORMAT, **Proposals::Answer.of(table, solver) } unless best.solved.found?

        answer = Proposals::Answer.chosen(best)
        { "kippen" => Store::Proposals::FORMAT, "status" => best.solved.status, "gap" => best.solved.gap, "rows" => rows,
          "steps" => steps.map { |step| step(table, step) }, "best" => frontier.used(best), **why(table, answer) }
      end

      private

      def solver = @solver ||= HighsSolver.new

      def fitting = @fitting ||= Store::Revisions.new(@database).at(@client, @row[:revision])

      def ways
        @ways ||= begin
          source = Source.new(Store::Trials.new(@database), Store::Sittings.new(@database))
          Reach::Ways.new(fitting, KNOWLEDGE, trials: CheckPresses.new(source, @client, fitting),
                                              contacts: Store::Streams.new(@database).contacts(@client, fitting),
                                              figures: Store::Proposals.new(@database).figures(@client))
        end
      end

      def from
        @from ||= Proposals::FromFitting.new(ways, pinned: @row[:pinned].to_a, shut: @row[:shut].to_hash)
      end

      def rows = from.rows.to_h { |row| [row.id, row.wants.map(&:id)] }

      def tell(done, of)
        @progress.of = of + AFTER
        @progress.to(done)
      end

      # One number of changes: what it changes, and what a day then comes to.
      def step(table, step)
        chosen = Proposals::Answer.chosen(step)
        changes = Proposals::ChangesOf.new(table, from.rows).of(chosen["chosen"], chosen["offers"])
        { "changes" => step.changes, **chosen, **changes, **day(table, chosen) }
      end

      # First ways only: what a day takes, and how often something goes wrong.
      def day(table, chosen)
        first = chosen["chosen"].select { |one| one["way"] == 1 }.map do |one|
          [table.want(one["want"]).times, slot(table, one, chosen["offers"])]
        end
        { "seconds" => first.sum { |times, slot| times * slot.seconds }.round(2),
          "wrong" => first.sum { |times, slot| times * (1 - slot.right) }.round(3) }
      end

      def slot(table, one, offers)
        table.button(one["button"]).offers[offers.fetch(one["button"])].gestures.fetch(one["gesture"])
      end

      # What takes too long to be asked again is not told.
      def why(table, answer)
        asked = Proposals::Why.new(table, answer, solver, deadline: Server.deadline(WHY_S))
        here = asked.here
        @progress.step
        doubts, whole = asked.rests_on
        { "here" => here, "rests_on" => doubts, "all_asked" => whole }
      rescue Deadline::Passed
        { "here" => here || [], "rests_on" => [], "all_asked" => false }
      end
    end
  end
end
