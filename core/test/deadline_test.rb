# frozen_string_literal: true

require_relative "kinds_data"

module Kippen
  # Whoever works looks at the time, and stops where it is over.
  class DeadlineTest < CoreTest
    include KindsData

    def test_it_passes_with_work_and_is_given_up_for_something_newer
      now = 0
      newer = false
      deadline = Deadline.new(1.0, clock: -> { now }) { newer }
      deadline.check
      now = 1.1
      assert_raises(Deadline::Passed) { deadline.check }
      newer = true
      assert_raises(Deadline::GivenUp) { deadline.check }
      assert_nil Deadline::NEVER.check
    end

    # One that goes on for so many looks at the time.
    def after(looks) = Deadline.new(looks, clock: -> { @looks = @looks.to_i + 1 })

    def test_a_change_looks_at_it_with_each_of_its_parts
      fitting = add(bare, "mouse-five", host: "desk")
      parts = Array.new(30) do
        { "kind" => "assign", "button" => "mouse-with-five-buttons/back", "gesture" => "tap", "action" => { "kind" => "help" } }
      end
      change = Changes.read({ "kind" => "several", "changes" => parts })
      make = ->(deadline) { Changes.make(fitting, change, knowledge: KNOWLEDGE, by: "Hollis", at: NOON, deadline:) }
      assert_raises(Deadline::Passed) { make.call(after(20)) }
      @looks = 0
      assert_raises(Deadline::Passed) { make.call(after(31)) }
      @looks = 0
      assert make.call(after(60)).fitting
    end
  end
end
