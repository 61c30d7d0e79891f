# frozen_string_literal: true

module Kippen
  module Server
    # Lanes along the values of one of their times, as the JSON of the contract. Lanes that change alike stand together,
    # and what comes about at several values is said once.
    class RenderAlong
      def initialize(fitting, along, deadline: Deadline::NEVER)
        @fitting = fitting
        @along = along
        @deadline = deadline
        @render = RenderLanes.new(fitting)
      end

      # device – a Fitting::Device; setting – the name of a duration; to – in ms, the last value that is asked for
      def of(device, setting, lanes, to:)
        known = Fitting::Timing::SETTINGS.fetch(setting)
        allowed = KINDS.settable(device, @fitting.host(device.host))[setting]
        values = Kinds::Settable.values(allowed, known.range, to:)
        { "values_ms" => values, "lanes" => lanes.group_by { |lane| @render.moves_like(lane) }.values
          .map { |alike| group(alike, values) } }
      end

      private

      def group(alike, values)
        states = @along.at(alike.first, values).map { |lane| @deadline.check || @render.moved(lane) }
        distinct = states.uniq
        index = distinct.each_with_index.to_h
        { "buttons" => alike.map { |lane| lane.button.ref }, "states" => distinct,
          "at" => states.map { |state| index.fetch(state) } }
      end
    end
  end
end
