# frozen_string_literal: true

module Kippen
  module Server
    module Paper
      # Gestures as their shapes: dots for taps, a bar for what is held, an empty one for what lasts as long as it is held.
      module GestureSign
        DOTS = { "tap" => 1, "double_tap" => 2, "triple_tap" => 3 }.freeze
        WIDE = 26

        module_function

        # Draws one on a Prawn::Document. at – [left, middle]; size – of the letters beside it
        def draw(pdf, gesture, at, size)
          left, middle = at
          unit = size / 10.0
          dots = DOTS[gesture]
          return dots.times { |index| pdf.fill_circle([left + ((2.5 + (index * 8)) * unit), middle], 2.5 * unit) } if dots

          box = [[left, middle + (2.5 * unit)], 16 * unit, 5 * unit]
          gesture == "hold" ? pdf.stroke_rectangle(*box) : pdf.fill_rectangle(*box)
        end
      end
    end
  end
end
