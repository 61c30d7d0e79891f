# frozen_string_literal: true

require_relative "../helper"

module Kippen
  class BenchTest < CoreTest
    def messages(*rows)
      rows.map { |number, ms, kind| Press::Bench::Message.new(number:, time_us: (ms * 1000).to_i, source: kind == "told" ? "" : OK, kind:, value: "") }
    end

    def view(*rows)
      read = fitting("assignments" => %w[tap double_tap long_press].map { |gesture| assignment(gesture) })
      Press::Bench.view(read, messages(*rows))
    end

    def outcomes(view) = view.stories.map { |story| story.rows.map { |row| row.outcome.to_h.values_at("gesture", "at_us") } }

    PRESSES = [[1, 0, "down"], [2, 499, "up"], [3, 799, "told"], [4, 2000, "down"], [5, 2500, "told"], [6, 2501, "up"], [7, 2800, "told"]].freeze

    def test_the_order_in_which_messages_come_does_not_matter
      expected = [[["tap", 799_000]], [["long_press", 2_500_000]]]
      PRESSES.permutation.first(500).each { |order| assert_equal expected, outcomes(view(*order)) }
      assert_equal expected, outcomes(view(*PRESSES, *PRESSES.reverse))
    end

    def test_at_one_instant_they_stand_as_they_were_sent
      assert_equal [[["tap", 400_000]]], outcomes(view([1, 0, "down"], [3, 100, "told"], [2, 100, "up"], [4, 400, "told"]))
    end

    def test_a_button_that_the_fitting_no_longer_has_is_passed_over
      gone = Press::Bench::Message.new(number: 9, time_us: 50_000, source: "remote/gone", kind: "down", value: "")
      read = fitting("assignments" => [assignment("tap")])
      seen = Press::Bench.view(read, [*messages([1, 0, "down"]), gone])
      assert_equal [[[["tap", 0]]], 50_000], [outcomes(seen), seen.now_us]
    end

    def test_what_is_pending_stands_there_without_an_outcome
      seen = view([1, 0, "down"])
      assert_equal [[[]], [500_000], false], [outcomes(seen), seen.waiting.map(&:due_us), seen.stories[0].over]
    end
  end
end
