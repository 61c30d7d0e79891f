# frozen_string_literal: true

require_relative "../helper"

module Kippen
  # The table of what happens to a burst: each pair of a state and an event is decided on purpose.
  class BurstsTest < CoreTest
    TABLE = Press::BurstTable::ROWS
    PAIRS = TABLE.flat_map { |state, row| row.map { |event, action| [state, event, action] } }.freeze
    CASES = Dir[File.join(__dir__, "cases", "*.json")].flat_map { |file| JSON.parse(File.read(file)) }.freeze

    # Notes each pair that comes about in an engine.
    class Noted < Press::Bursts
      SEEN = Set.new
      Press::BurstTable::EVENTS.each do |event|
        define_method(:"on_#{event}") do |burst|
          SEEN << [burst.state, event]
          super(burst)
        end
      end
    end

    def test_every_state_says_what_each_event_does
      assert_equal [Press::BurstTable::EVENTS], TABLE.values.map(&:keys).uniq
      assert_empty(PAIRS.reject { |_, _, action| Press::Bursts.private_method_defined?(action) })
    end

    def seen
      Noted::SEEN.clear
      Press::Bursts.stub(:new, ->(*given) { Noted.allocate.tap { |bursts| bursts.send(:initialize, *given) } }) do
        CASES.each do |item|
          fitting = Fitting.read(document(item["fitting"]))
          events = Press::Events.new(fitting)
          Press::Replay.run(fitting, item["trace"].map { |time, *fields| [time, events.read(*fields)] })
        end
      end
      Noted::SEEN
    end

    # The worked cases go through every pair that can come about.
    def test_what_can_happen_has_a_case_and_what_can_not_never_does
      possible, impossible = PAIRS.partition { |_, _, action| action != :impossible }.map do |list|
        list.to_set { |pair| pair.first(2) }
      end
      assert_equal [Set.new, Set.new], [possible - seen, impossible & seen]
    end

    def test_what_can_not_happen_is_an_error_that_says_so
      burst = Struct.new(:state).new(:through)
      bursts = Press::Bursts.new(nil, nil, nil, nil)
      assert_equal "this can't happen in a burst that is through",
                   assert_raises(Press::Bursts::Impossible) { bursts.on_gap(burst) }.message
    end
  end
end
