# frozen_string_literal: true

module Kippen
  module Changes
    # Where assignments stand: a button, in a place and a mode.
    Spot = Struct.new(:button, :place, :mode) do
      # Of an assignment as it stands in the document.
      def self.of(item) = new(item["button"], item.fetch("place", Fitting::EVERYWHERE), item.fetch("mode", Fitting::BASE))

      # Its members in a document: what is usual is left out.
      def members
        { "button" => button, "place" => (place unless place == Fitting::EVERYWHERE),
          "mode" => (mode unless mode == Fitting::BASE) }.compact
      end

      def with_button(ref) = self.class.new(ref, place, mode)
    end
  end
end
