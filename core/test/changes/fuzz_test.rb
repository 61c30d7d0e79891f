# frozen_string_literal: true

require_relative "edit_fuzz"

module Kippen
  # A short form of `bin/siege edits`.
  class EditFuzzTest < CoreTest
    def test_random_changes_keep_what_must_hold
      wrong = []
      fuzz = EditFuzz.new(20_261_126)
      250.times { fuzz.step { |words| wrong << words } }
      assert_empty wrong.first(5)
      taken = fuzz.counts.keys.select { |_, how| how == :taken }.map(&:first).uniq
      assert_operator taken.size, :>=, 20, "too few kinds of change were taken: #{taken}"
    end
  end
end
