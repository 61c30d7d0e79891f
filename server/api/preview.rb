# frozen_string_literal: true

module Kippen
  module Server
    # What a change would do, as the JSON of the contract: what differs in words, and for each
    # button it touches the lane afterwards, every wait before and after, and what is displaced.
    class Preview
      # changes – a Changes that has made the change; before – the Fitting it was made on
      def initialize(changes, before, after)
        @changes = changes
        @before = before
        @after = after
        @consequences = Consequences.new(before, after, KINDS, CATALOGUE)
        @render = RenderLanes.new(after)
      end

      def to_h
        serves, loses = @consequences.wants
        { "words" => Fitting::Differences.new(@before, @after, CATALOGUE).words, "buttons" => @changes.spots.filter_map { |spot| button(*spot) },
          "serves" => serves, "loses" => loses, "left_out" => @changes.left_out, "notes" => @changes.notes, "moves" => moves }
      end

      private

      def button(ref, place, mode)
        return unless @after.button(ref)

        old, new = [@before, @after].map { |fitting| Press::Lane.new(fitting, fitting.button(ref), place:, mode:) }
        { "lane" => @render.lane(new), "waits" => old.differences(new).map { |gesture, before, after| wait(old, new, gesture, before, after) },
          "displaced" => @consequences.displaced(ref, place:, mode:).map { |one| { "kind" => one.kind, "words" => one.words } } }
      end

      def wait(old, new, gesture, before, after)
        { "gesture" => gesture, "gesture_name" => Words::GESTURES.fetch(gesture),
          "before" => before && Words.wait(before, old.timing), "after" => after && Words.wait(after, new.timing) }
      end

      def moves
        MainJob.new(KINDS).moved(@before, @after).map do |moved|
          { "host" => moved.host.name || moved.host.id, "lost" => names(moved.lost), "now" => names(moved.now) }
        end
      end

      def names(buttons) = buttons.map { |button| "#{@after.device(button.device).name || button.device}, #{button.name || button.id}" }
    end
  end
end
