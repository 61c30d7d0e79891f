# frozen_string_literal: true

require_relative "hands"

module Kippen
  # Which prompt comes next, and how many more would tell something.
  class PromptsTest < CoreTest
    include Hands

    def given(trials, offered: %w[tap double_tap], **more)
      Formats::TrialsJson.read(JSON.generate({ "kippen" => "trials/1", "button" => { "id" => "b" }, "offered" => offered,
                                               "trials" => trials }.merge(more.transform_keys(&:to_s))))
    end

    def pressed(intended, *lengths, apart: 100)
      at = 0
      trace = lengths.flat_map { |ms| [[at, "down"], [at + (ms * 1000), "up"]].tap { at += (ms + apart) * 1000 } }
      { "intended" => intended, "trace" => trace }
    end

    def prompts(trials = [], seed: 7, **more) = Tuning::Prompts.new(given(trials, **more), {}, seed)

    def test_at_first_all_sorts_come_mixed_and_nobody_begins_with_resting
      50.times do |seed|
        asked = Array.new(5) { |number| prompts(seed:).at(number) }
        assert_equal %w[double_tap double_tap rest tap tap], asked.map(&:intended).sort
        refute_equal "rest", asked.first.intended
        assert_equal %w[mixed], asked.map(&:why).uniq
      end
    end

    def test_the_same_seed_asks_the_same_and_another_otherwise
      order = ->(seed) { Array.new(10) { |number| prompts(seed:).at(number).intended } }
      assert_equal order[3], order[3]
      assert_operator Array.new(10) { |seed| order[seed] }.uniq.size, :>, 5
    end

    def test_then_that_of_which_least_is_known
      trials = Array.new(12) { pressed("tap", 80) } + Array.new(3) { pressed("double_tap", 80, 80) } + Array
        .new(4) { pressed("rest") }
      assert_equal %w[double_tap interval], prompts(trials).at(21, before: %w[tap rest]).to_a
    end

    # The default gap is 300 ms: 280 is close to it, 100 is not.
    def test_and_that_which_lies_close_to_a_boundary
      trials = Array.new(6) { pressed("tap", 80) } + Array.new(6) { pressed("double_tap", 80, 80, apart: 280) }
      assert_equal %w[double_tap boundary], prompts(trials).at(21, before: %w[tap rest]).to_a
    end

    def test_the_same_is_asked_twice_in_a_row_at_most_and_resting_is_rare
      trials = Array.new(12) { pressed("tap", 80) } + Array.new(2) { pressed("double_tap", 80, 80) }
      refute_equal "double_tap", prompts(trials).at(21, before: %w[double_tap double_tap]).intended
      refute_equal "rest", prompts(Array.new(30) { pressed("tap", 80) } + Array.new(30) {
        pressed("double_tap", 80, 80)
      }).at(61, before: %w[rest tap tap]).intended
    end

    # Ten of ten right: Wilson's interval is .278 wide; half of that with 14 more (R: prop.test(24, 24, correct = FALSE) .138).
    def test_how_many_more_would_halve_what_is_uncertain
      trials = Array.new(10) { pressed("tap", 80) } + Array.new(20) { pressed("double_tap", 80, 80) }
      assert_equal ["tap", 14], prompts(trials).worth
      assert_nil prompts.worth
    end

    def test_a_squeeze_is_carried_too
      assert_includes Array.new(5) { |number| prompts(button: { "id" => "b", "kind" => "force" }).at(number).intended }, "carry"
    end
  end
end
