# frozen_string_literal: true

module Kippen
  module Server
    module Paper
      # A device's plain outline with one of its buttons filled, from its kind's own data. What is drawn by a path is left out:
      # the words beside it say the same.
      module DeviceDrawing
        module_function

        # Draws it on a Prawn::Document within a square. drawing – as RenderDevices has it, or nil; button – its id
        # at – [left, top]; side – of the square
        def draw(pdf, drawing, button, at:, side:)
          return unless drawing

          place = place(drawing["box"], at, side)
          drawing["outline"].each { |shape| shape(pdf, shape, place, :stroke) }
          drawing["buttons"].each do |one|
            if one["at"]
              shape(pdf, one["at"], place, one["id"] == button ? :fill_and_stroke : :stroke)
            end
          end
        end

        # [left, top, scale] so that a box fits.
        def place(box, (left, top), side)
          scale = side.fdiv(box.max)
          [left + ((side - (box[0] * scale)) / 2), top, scale]
        end

        def shape(pdf, shape, (left, top, scale), how)
          if shape["rect"]
            x, y, width, height, radius = shape["rect"].map { |number| number * scale }
            pdf.public_send(:"#{how}_rounded_rectangle", [left + x, top - y], width, height, radius)
          elsif shape["ellipse"]
            x, y, across, up = shape["ellipse"].map { |number| number * scale }
            pdf.public_send(:"#{how}_ellipse", [left + x, top - y], across, up)
          end
        end
        private_class_method :place, :shape
      end
    end
  end
end
