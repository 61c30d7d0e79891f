# frozen_string_literal: true

module Kippen
  module Server
    # What a change would do, as the JSON of the contract: what differs in words, and for each
    # button it touches the lane afterwards, every wait before and after, and what is displaced.
    class Preview
      # Of work of a core, for walking through the modes of what is saved.
      WALK_S = 1.0

      # result – a Changes::Finish::Result; deadline – how long a look may take
      def initialize(result, deadline: Deadline::NEVER)
        @deadline = deadline
        @result = result
        @before = result.before
        @after = result.fitting
        @consequences = result.consequences
        @render = RenderLanes.new(@after)
      end

      def to_h
        serves, loses = @consequences.wants
        { "words" => @result.words, "buttons" => @result.spots.filter_map { |spot| button(spot) },
          "serves" => serves, "loses" => loses, "left_out" => @result.left_out, "notes" => notes, "moves" => moves,
          "no_way_back" => no_way_back.map(&:plain) }
      end

      # The same for somebody who made the change without a look at it: what it displaced, what it
      # serves no longer, what did not go along, in sentences.
      def sentences
        lost = @consequences.wants[1].map { |want| Words.say(:no_longer_serves, want:) }
        found = [*@result.spots.flat_map { |spot| displaced(spot) }, *no_way_back].map(&:what)
        (found + lost + @result.left_out + notes).uniq
      end

      private

      # What others of the client's buttons lose by it stands with what was noted on the way.
      def notes = @result.notes + (@deadline.check || @consequences.own_lost_elsewhere(@result.spots))

      # Modes that could be left before, or were not there. A change that is saved is not kept waiting for
      # it: what can't be walked through in time is not told.
      def no_way_back
        deadline = saved? ? Server.deadline(WALK_S) : @deadline
        @no_way_back ||= Reach::NoWayBack.new(@after, KNOWLEDGE, deadline:).new_since(@before)
      rescue Deadline::Passed
        saved? ? @no_way_back = [] : raise
      end

      def saved? = @deadline == Deadline::NEVER

      def button(spot)
        return unless [@before, @after].all? { |fitting| fitting.button(spot.button) }

        old, new = [@before, @after].map do |fitting|
          Press::Lane.new(fitting, fitting.button(spot.button), place: spot.place, mode: spot.mode)
        end
        { "lane" => @render.lane(new), "waits" => old.differences(new).map { |difference| wait(old, new, difference) },
          "displaced" => displaced(spot).map(&:plain) }
      end

      def displaced(spot)
        @deadline.check
        @consequences.displaced(spot.button, place: spot.place, mode: spot.mode)
      end

      def wait(old, new, (gesture, before, after))
        { "gesture" => gesture, "gesture_name" => Words.gesture(gesture),
          "before" => before && Words.wait(before, old.timing), "after" => after && Words.wait(after, new.timing) }
      end

      def moves
        Reach::MainJob.new(KNOWLEDGE).moved(@before, @after).map do |moved|
          { "host" => moved.host.name || moved.host.id, "lost" => names(moved.lost), "now" => names(moved.now) }
        end
      end

      def names(buttons) = buttons.map { |button| Words.button(@after.device(button.device), button) }
    end
  end
end
