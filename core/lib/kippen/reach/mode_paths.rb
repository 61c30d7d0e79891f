# frozen_string_literal: true

module Kippen
  module Reach
    # The fewest presses by which a mode is come into on a host, from base, in a place: [[button, gesture, mode it is made in]…].
    class ModePaths
      # One press on the way. mode – that it is made in
      Step = Struct.new(:button, :gesture, :mode)

      def initialize(fitting, without: [])
        @fitting = fitting
        @buttons = fitting.buttons.reject { |button| without.include?(button.device) }
        @paths = {}
      end

      # [Step…] of a mode, [] of base; nil where it can't be come into.
      def to(host, place, mode) = (@paths[[host, place]] ||= walk(host, place))[mode]

      private

      # Breadth first: what is found first is reached by the fewest.
      def walk(host, place)
        paths = { Fitting::BASE => [] }
        queue = [Fitting::BASE]
        taking = taking(host)
        queue.each do |mode|
          taking.each do |button|
            targets(button, mode, place).reject { |target, _| paths.key?(target) }.each do |target, gesture|
              paths[target] = [*paths[mode], Step.new(button, gesture, mode).freeze]
              queue << target
            end
          end
        end
        paths
      end

      # [[mode, gesture]…] that a button takes in a mode.
      def targets(button, mode, place)
        WhatHappens.gestures(@fitting, button, mode, place).filter_map do |gesture, assignment|
          target = assignment&.mode_action? && assignment.action["mode"]
          [target, gesture] if target
        end
      end

      # Those with a way into some mode.
      def taking(host)
        @buttons.select do |button|
          button.host == host && !button.off && !@fitting.device(button.device).off &&
            @fitting.assigned(button.ref).any? { |one| one.mode_action? && one.action["mode"] }
        end
      end
    end
  end
end
