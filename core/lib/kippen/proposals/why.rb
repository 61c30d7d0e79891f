# frozen_string_literal: true

module Kippen
  module Proposals
    # Why a want is where it is, and what a proposal rests on: solved again, not guessed.
    class Why
      # The most that is solved again for what it rests on.
      MOST = 60

      # answer – of Answer for the table; deadline – looked at before each
      def initialize(table, answer, solver, deadline: Deadline::NEVER)
        @table = table
        @answer = answer
        @solver = solver
        @deadline = deadline
      end

      # Of each chosen first way: the next best, and what the day costs with that one instead:
      # [{ "want", "button", "gesture", "instead" => { "button", "gesture" } or nil, "cost_s_a_day", "more_s" }…]
      def here
        first.map { |one| instead(one) }
      end

      # Which unmeasured rates could turn it: [{ "button", "gesture", "at" => "low" or "high", "flips" => [want…] }…], those that
      # turn most first; and whether all were looked at.
      def rests_on
        doubts = unmeasured
        found = doubts.first(MOST).filter_map { |button, gesture, at| turned(button, gesture, at) }
        [found.sort_by { |one| [-one["less_s"], one["button"], one["gesture"]] }, doubts.size <= MOST]
      end

      private

      def first = @answer["chosen"].select { |one| one["way"] == 1 }

      # The same without that slot for this want.
      def instead(one)
        @deadline.check
        other = solved(without(one))
        slot = other && other["chosen"].find { |next_one| next_one["want"] == one["want"] && next_one["way"] == 1 }
        more = other && (other["cost_s_a_day"] - @answer["cost_s_a_day"]).round(3)
        { **one.slice("want", "button", "gesture"),
          "instead" => slot&.slice("button", "gesture"),
          "cost_s_a_day" => other && other["cost_s_a_day"], "more_s" => more }
      end

      def without(one)
        wants = @table.document["wants"].map do |want|
          want["id"] == one["want"] ? want.merge("cant" => [*want["cant"], one.slice("button", "gesture")]) : want
        end
        @table.document.merge("wants" => wants,
                              "fixed" => @table.document.fetch("fixed", []).reject { |kept| kept["want"] == one["want"] })
      end

      # What is chosen might be worse than it is taken for, what isn't might be better: [[button, gesture, "low" or "high"]…].
      def unmeasured
        chosen = @answer["chosen"].map { |one| one.values_at("button", "gesture") }
        spots = @table.document["buttons"].flat_map { |button| unmeasured_of(button) }
        first, others = spots.sort_by(&:last).map(&:first).partition { |spot| chosen.include?(spot) }
        first.map { |spot| [*spot, "low"] } + others.map { |spot| [*spot, "high"] }
      end

      # [[[button, gesture], seconds]…], each once.
      def unmeasured_of(button)
        slots = button["offers"].flat_map { |offer| offer["gestures"].to_a }.select { |_, slot| slot["measured"] == false }
        slots.uniq(&:first).map { |gesture, slot| [[button["id"], gesture], slot["seconds"]] }
      end

      # Which wants come to it or go from it, where that is less than what is chosen would then cost.
      def turned(button, gesture, at)
        @deadline.check
        document = with_rate(button, gesture, at)
        other = solved(document) or return
        less = today(document) - other["cost_s_a_day"]
        return if less < Frontier::CLOSE

        both = [@answer, other].map { |one| here_is(one["chosen"], button, gesture) }
        wants = (both[0] - both[1]) | (both[1] - both[0])
        { "button" => button, "gesture" => gesture, "at" => at, "flips" => wants, "less_s" => less.round(3) } if wants.any?
      end

      def here_is(chosen, button, gesture)
        chosen.select { |one| one.values_at("button", "gesture") == [button, gesture] }.map { |one| one["want"] }
      end

      # What is chosen now would cost so much a day by another table.
      def today(document)
        columns = @answer["chosen"].map { |one| one.values_at("want", "button", "gesture", "way") }
        program = Program.new(Table.read(document))
        program.columns.sum do |column|
          case column.kind
          when :offer then @answer["offers"][column.button] == column.offer ? column.cost : 0
          when :missing then column.way == 1 ? missing(column, 1) : missing(column, 2)
          else
            spot = [column.want, column.button, column.gesture, column.way]
            columns.include?(spot) && @answer["offers"][column.button] == column.offer ? column.cost : 0
          end
        end
      end

      def missing(column, way)
        @answer["chosen"].any? { |one| one["want"] == column.want && one["way"] == way } ? 0 : column.cost
      end

      def with_rate(button, gesture, at)
        buttons = @table.document["buttons"].map do |one|
          next one unless one["id"] == button

          one.merge("offers" => one["offers"].map { |offer| offer.merge("gestures" => rated(offer["gestures"], gesture, at)) })
        end
        @table.document.merge("buttons" => buttons)
      end

      def rated(gestures, gesture, at)
        gestures.to_h { |name, slot| [name, name == gesture && slot[at] ? slot.merge("right" => slot[at]) : slot] }
      end

      # The best of all of a table, or nil.
      def solved(document)
        table = Table.read(document)
        step = Frontier.new(table, @solver).step(nil)
        step.solved.found? ? Answer.chosen(step) : nil
      end
    end
  end
end
