# frozen_string_literal: true

require "digest"

module Kippen
  module Server
    # The lanes of all buttons of a fitting in one place and mode, each as its JSON.
    class LanesTold
      def initialize(fitting, place, mode, deadline)
        @fitting = fitting
        @place = place
        @mode = mode
        @deadline = deadline
      end

      # JSON by button. Raises Deadline::Passed.
      def lanes
        @lanes ||= begin
          resolver = Press::Resolver.new(@fitting)
          render = RenderLanes.new(@fitting)
          @fitting.buttons.to_h do |button|
            @deadline.check
            [button.ref, JSON.generate(render.lane(Press::Lane.new(@fitting, button, place: @place, mode: @mode, resolver:)))]
          end
        end
      end

      # The lanes that are another than in other LanesTold, JSON by button.
      def changed_since(other)
        before = other.marks
        lanes.reject { |ref, _| before[ref] == marks[ref] }
      end

      protected

      # By button what tells one lane from another: kept with the fitting, for what was told once is asked after the next save.
      def marks
        @fitting.recall([:lane_marks, @place, @mode]) { lanes.transform_values { |json| Digest::SHA256.digest(json) }.freeze }
      end
    end
  end
end
