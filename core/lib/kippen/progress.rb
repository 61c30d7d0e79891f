# frozen_string_literal: true

module Kippen
  # How far something long has come; whoever is told may raise, and so end it.
  class Progress
    # Yields what is done, and of how much.
    def initialize(&told)
      @told = told
      @done = 0
      @of = 1
    end

    attr_writer :of

    def step = to(@done + 1)

    def to(done)
      @done = [done, @of].min
      @told&.call(@done, @of)
    end

    # What is done of it, to go on from there.
    attr_reader :done
  end
end
