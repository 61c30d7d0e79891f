# frozen_string_literal: true

require_relative "../helper"

module Kippen
  # What no timing tells for this person: said of enough trials, and only where a timing made for it alone can't tell it either.
  class UnsavedTest < CoreTest
    # trials – [[intended, [ms down, ms up]]…]
    def series(offered, trials)
      list = trials.map do |intended, (down, up)|
        { "intended" => intended, "trace" => [[down * 1000, "down"], [up * 1000, "up"]] }
      end
      Formats::TrialsJson.read(JSON.generate("kippen" => "trials/1", "button" => { "id" => "d/b" }, "offered" => offered,
                                             "trials" => list))
    end

    def unsaved(offered, trials)
      Tuning::Answer.new(series(offered, trials)).to_h["unsaved"].map { |one| one.values_at("gesture", "n") }
    end

    # Short and long are held alike.
    def alike(count) = Array.new(count) { ["tap", [0, 400]] } + Array.new(count) { ["long_press", [0, 400]] }

    def test_of_eight_it_is_said_and_of_seven_not
      assert_equal [["long_press", 8]], unsaved(%w[tap long_press], alike(8))
      assert_empty unsaved(%w[tap long_press], alike(7))
    end
  end
end
