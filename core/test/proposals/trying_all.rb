# frozen_string_literal: true

module Kippen
  # The least that a day costs for each number of changes, by trying everything: what Proposals is held against. Written from
  # the words of docs/reach.md, with none of the program's rows.
  class TryingAll
    def initialize(document)
      @document = document
      @wants = document["wants"]
      @today = document.fetch("today", []).map { |one| one.values_at("want", "button", "gesture") }
      @fixed = document.fetch("fixed", []).map { |one| one.values_at("want", "button", "gesture") }
      @closed = document.fetch("closed", []).map { |one| one.values_at("button", "gesture") }
      @least = Hash.new(Float::INFINITY)
    end

    # { changes => least cost with exactly so many }, empty where the rules can't all be kept.
    def least
      choices = @document["buttons"].map { |button| button["offers"].each_index.map { |place| [button, place] } }
      choices[0].product(*choices[1..]).each do |chosen|
        slots = chosen.flat_map do |button, place|
          button["offers"][place]["gestures"].map { |gesture, slot| [button, gesture, slot] }
        end
        open = slots.reject { |button, gesture, _| @closed.include?([button["id"], gesture]) }
        put(open, 0, [], chosen.sum { |button, place| button["offers"][place].fetch("offer_s", 0) })
      end
      @least
    end

    private

    # Every way to give the wants from this one on their slots. done – [[want, button, gesture]…]
    def put(open, index, done, cost)
      want = @wants[index]
      return finish(done, cost) unless want

      mine = open.select { |button, *| button["host"] == want["host"] }
      second = want.fetch("missing_second_s", 0)
      missing = want["missing_s"] + (want["ways"] == 2 ? second : 0)
      put(open, index + 1, done, cost + missing)
      mine.each do |slot|
        first = day(want, slot)
        left = open - [slot]
        at = [want["id"], slot[0]["id"], slot[1]]
        put(left, index + 1, done + [at], cost + first + (want["ways"] == 2 ? second : 0))
        next unless want["ways"] == 2

        (mine - [slot]).reject { |other| other[0]["device"] == slot[0]["device"] }.each do |other|
          also = [want["id"], other[0]["id"], other[1]]
          put(left - [other], index + 1, done + [at, also], cost + first + (day(want, other) * @document["second_share"]))
        end
      end
    end

    def day(want, (button, _, slot))
      want["times"] * (slot["seconds"] + (slot["presses"] * button["effort_s"]) + ((1 - slot["right"]) * want["wrong_s"]))
    end

    def finish(done, cost)
      return unless (@fixed - done).empty?

      changes = (done - @today).size
      all = cost + (changes * @document["change_s"])
      @least[changes] = all if all < @least[changes]
    end
  end
end
