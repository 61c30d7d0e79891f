# frozen_string_literal: true

module Kippen
  module Press
    # The lanes that change with one of their times, for each value that it can be set to: worked out once, when
    # it is taken hold of, so that it can be moved without a question.
    class Along
      # setting – the name of a duration; fitting – a Fitting; place, mode – where the lanes are looked at
      def initialize(fitting, setting, place: Fitting::EVERYWHERE, mode: Fitting::BASE)
        @fitting = fitting
        @setting = setting
        @place = place
        @mode = mode
        @resolver = Resolver.new(fitting)
      end

      # The Lanes, as they are, of those buttons of a Fitting::Device that share the time.
      def shared(device)
        device.buttons.reject { |button| @fitting.own_timing(button).key?(@setting) }.map { |button| lane(button) }
      end

      # Of one button, which would have the time for its own.
      def own(button) = [lane(button).owning(@setting)]

      # A lane with each of some values in ms. Returns [Lane].
      def at(lane, values)
        field = Fitting::Timing::SETTINGS.fetch(@setting).field
        values.map { |ms| lane.with_timing(Fitting::Timing.new(**lane.timing.to_h, field => Fitting::Timing.microseconds(ms))) }
      end

      private

      def lane(button) = Lane.new(@fitting, button, place: @place, mode: @mode, resolver: @resolver)
    end
  end
end
