# frozen_string_literal: true

module Kippen
  # How long something may be worked on. Whoever works looks at it now and then, and stops where it is over.
  class Deadline
    # It took longer than it may.
    class Passed < Error; end

    # Nobody waits for it any more.
    class GivenUp < Error; end

    # seconds – of work; clock – tells them, best of the thread that works, so that others who work meanwhile don't count;
    # the block – does nobody wait for it any more?
    def initialize(seconds, clock:, &given_up)
      @clock = clock
      @ends = clock.call + seconds
      @given_up = given_up
    end

    # Raises Passed, GivenUp.
    def check
      raise GivenUp, Words.say(:was_given_up_for_newer) if @given_up&.call
      raise Passed, Words.say(:takes_too_long_work_out) if @clock.call > @ends
    end

    NEVER = new(Float::INFINITY, clock: -> { 0 })
  end
end
