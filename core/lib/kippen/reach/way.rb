# frozen_string_literal: true

module Kippen
  module Reach
    # What a client does so that a want's action happens on its host: perhaps first what takes a mode or opens a shortlist, then a
    # gesture.
    #   steps – [Step…]; rate – Rates::Rate of all of them together; cost_s – a day, by times and what a wrong press costs
    Way = Struct.new(:host, :steps, :rate, :effort_s, :cost_s, keyword_init: true) do
      # The device of its last press, which does it.
      def device = steps.last.button.device
      def devices = steps.map { |step| step.button.device }.uniq
      def presses = steps.sum(&:presses)
      def seconds = steps.sum(&:seconds)

      def plain
        { "device" => device, "presses" => presses, "seconds" => seconds.round(3), "right" => rate.right.round(4),
          "low" => rate.low.round(4), "high" => rate.high.round(4), "measured" => rate.measured?, "trials" => rate.n,
          "cost_s_a_day" => cost_s.round(3), "steps" => steps.map(&:plain) }
      end
    end

    # One gesture of a way. place, mode – where it is made; rate – Rates::Rate; line – of the shortlist that it is pressed for
    Way::Step = Struct.new(:button, :gesture, :place, :mode, :presses, :seconds, :rate, :line, keyword_init: true) do
      def plain
        { "button" => button.ref, "gesture" => gesture, "place" => (place unless place == Fitting::EVERYWHERE),
          "mode" => (mode unless mode == Fitting::BASE), "presses" => presses, "line" => line }.compact
      end
    end
  end
end
