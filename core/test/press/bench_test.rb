# frozen_string_literal: true

require_relative "../helper"
require_relative "generated"

module Kippen
  # The live bench: fed, saved and taken up again.
  class BenchTest < CoreTest
    def messages(*rows)
      rows.map do |number, ms, kind|
        Press::Bench::Message.new(number:, time_us: (ms * 1000).to_i, source: kind == "told" ? "" : OK, kind:, value: "")
      end
    end

    def three = fitting("assignments" => %w[tap double_tap long_press].map { |gesture| assignment(gesture) })

    # every message fed to a bench that was saved before it, or all to one
    def stories(fitting, messages, saved:)
      bench = Press::Bench.from(fitting)
      over = messages.flat_map do |message|
        bench = Press::Bench.resume(fitting, JSON.parse(JSON.generate(bench.save))) if saved
        bench.feed(message)
        bench.take_over
      end
      (over + bench.open).map { |story| told(fitting, story) }
    end

    def told(fitting, story) = [Press::Account.of(fitting, story), story.repeats]

    def outcomes(stories)
      stories.map { |account, _| account["outcomes"].map { |row| row["row"].values_at("gesture", "at_us") } }
    end

    PRESSES = [[1, 0, "down"], [2, 499, "up"], [3, 799, "told"], [4, 2000, "down"], [5, 2500, "told"], [6, 2501, "up"],
               [7, 2800, "told"]].freeze

    def test_presses_become_stories
      assert_equal [[["tap", 799_000]], [["long_press", 2_500_000]]], outcomes(stories(three, messages(*PRESSES), saved: false))
    end

    def test_saved_before_every_message_it_tells_the_same
      PropCheck.forall(Generated::G.tuple(Generated.fitting, Generated.trace)).with_config(n_runs: 150).check do |document, trace|
        read = Fitting.read(document)
        list = trace.each_with_index.map do |(time_us, source, kind, value), index|
          Press::Bench::Message.new(number: index + 1, time_us:, source:, kind:, value:)
        end
        assert_equal stories(read, list, saved: false), stories(read, list, saved: true)
      end
    end

    def test_a_button_that_the_fitting_no_longer_has_is_passed_over
      gone = Press::Bench::Message.new(number: 9, time_us: 50_000, source: "remote/gone", kind: "down", value: "")
      bench = Press::Bench.from(fitting("assignments" => [assignment("tap")]))
      [*messages([1, 0, "down"]), gone].each { |message| bench.feed(message) }
      assert_equal([["tap", 0]], bench.open.first.rows.map { |row| row.outcome.to_h.values_at("gesture", "at_us") })
      assert_equal 50_000, bench.now_us
    end

    def test_what_is_pending_stands_there_without_an_outcome
      bench = Press::Bench.from(three)
      bench.feed(messages([1, 0, "down"]).first)
      assert_equal [[[]], [500_000], nil], [bench.open.map(&:rows), bench.waiting.map(&:due_us), bench.rest]
    end

    # A latch, a lock, a place and a bounce guard outlast a change of the fitting; what is gone is passed over.
    def test_from_a_moment_of_rest_it_goes_on_with_another_fitting
      lock = { "button" => OK, "gesture" => "tap", "action" => { "kind" => "mode", "mode" => "reading", "how" => "lock" } }
      before = fitting("modes" => [{ "id" => "reading" }], "assignments" => [lock], "timing" => { "bounce_guard_ms" => 200 })
      bench = Press::Bench.from(before)
      messages([1, 0, "down"], [2, 50, "up"]).each { |message| bench.feed(message) }
      rest = JSON.parse(JSON.generate(bench.rest))
      assert_equal ["reading", { OK => 0 }], [rest["hosts"][""]["locked"], rest["bounce"]]

      read_on = lambda do |fitting, time|
        later = Press::Bench.from(fitting, rest)
        later.feed(messages([3, time, "down"]).first)
        later.open.first.touches.first.verdict == "press" ? later.open.first.mode : "ignored"
      end
      other = amended(before, "assignments" => [], "places" => [{ "id" => "p", "app" => "rookery" }])
      assert_equal %w[reading ignored base],
                   [read_on.call(other, 250), read_on.call(other, 199), read_on.call(amended(other, "modes" => []), 250)]
    end

    def test_a_press_without_end_stays_small
      repeating = fitting("assignments" => [assignment("hold", repeat: { "after_ms" => 50, "every_ms" => 10 })],
                          "timing" => { "gap_bridge_ms" => 20 })
      bench = Press::Bench.from(repeating)
      bench.feed(messages([1, 0, "down"]).first)
      sizes = (1..900).map do |step|
        messages([(step * 2), step * 100, "up"], [(step * 2) + 1, (step * 100) + 5, "down"]).each do |message|
          bench.feed(message)
        end
        JSON.generate(bench.save).size
      end
      assert_operator sizes.last, :<, sizes[300] * 1.1
      assert_operator bench.open.first.repeats, :>, 8_000
    end
  end
end
