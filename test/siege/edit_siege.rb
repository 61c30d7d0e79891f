# frozen_string_literal: true

require "minitest"
# The invariants lie among the tests; here none of those is to run.
Minitest.singleton_class.send(:remove_method, :autorun)
Minitest.define_singleton_method(:autorun) { nil }

module Kippen
  # Random changes, in many short lives, each from a seed of its own.
  class EditSiege
    LIFE = 500

    def initialize(root)
      $LOAD_PATH.unshift(File.join(root, "core", "lib"), File.join(root, "core", "test"))
      require "changes/edit_fuzz"
    end

    # Says what is wrong; true if nothing is.
    def run(count, seed) # rubocop:disable Naming/PredicateMethod
      lives = Array.new((count / LIFE.to_f).ceil) { |index| [seed + index, [LIFE, count - (index * LIFE)].min] }
      wrong = lives.flat_map { |of, steps| live(of, steps) }
      puts "edits: #{count} from seed #{seed}, #{wrong.size} wrong", *wrong.first(20)
      wrong.empty?
    end

    private

    def live(seed, steps)
      fuzz = EditFuzz.new(seed)
      steps.times.flat_map { [].tap { |wrong| fuzz.step { |words| wrong << "seed #{seed}: #{words}" } } }
    end
  end
end
