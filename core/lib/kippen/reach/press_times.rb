# frozen_string_literal: true

module Kippen
  module Reach
    # How long this client's presses are and how far apart, in µs: medians of right trials on a button, else on buttons worked
    # with the same part of the body, else of people in general (Tuning::General).
    class PressTimes
      NAMES = %w[press gap long].freeze

      # presses – Check::Presses
      def initialize(fitting, presses)
        @fitting = fitting
        @presses = presses
        @of = {}
      end

      # { "press" => µs, "gap" => µs, "long" => µs } of a Fitting::Button.
      def of(button)
        @of[button.ref] ||= NAMES.to_h do |name|
          own = seen(button)[name]
          own = of_hand(button, name) if own.empty?
          [name, own.empty? ? general(name) : (Statistics.quantile(own, 0.5) * 1000).round]
        end
      end

      # Microseconds that a gesture takes of the client: until it has happened and the last press is let go. nil where it isn't
      # offered
      def taken(button, gesture, choice, timing)
        happens = until_it_happens(button, gesture, choice, timing) or return
        count = Tuning::PRESSES.fetch(gesture, 1)
        times = of(button)
        length = %w[long_press hold].include?(gesture) ? times["long"] : times["press"]
        [happens, (count * length) + ((count - 1) * times["gap"])].max
      end

      # Microseconds from the beginning of a gesture's first press until it happens, with what the button offers: exact by the
      # engine's waits. choice – Press::Resolver::Choice; gesture – as it offers it, "builtin" where nothing is assigned
      def until_it_happens(button, gesture, choice, timing)
        wait = Press::Waits.of(choice, timing)[gesture] or return
        times = of(button)
        before = (Tuning::PRESSES.fetch(gesture, 1) - 1) * (times["press"] + times["gap"])
        before + case wait.after
                 when "press" then from_press(wait, times, timing)
                 when "release" then times["press"] + wait.us
                 when "hold_end" then times["press"]
                 else timing.long_press_us + wait.us
                 end
      end

      private

      # A tap gap that counts from the press is over no sooner than the press is known to be.
      def from_press(wait, times, timing)
        return wait.us unless wait.parts.key?("tap_gap")

        [wait.us, times["press"] + timing.gap_bridge_us].max
      end

      # What is seen in the right trials of a button, in ms.
      def seen(button)
        @seen ||= {}
        @seen[button.ref] ||= begin
          right = @presses.of(button).select { |_, score| score.right? }.map(&:first)
          levels = @fitting.timing(button).settings.slice("press_at", "release_at").transform_keys(&:to_sym)
          Tuning::Seen.new(right, levels).lengths
        end
      end

      # Of the buttons that the same part of the body works.
      def of_hand(button, name)
        with = @fitting.worked_with(button) or return []

        @hands ||= {}
        @hands[[with, name]] ||= @fitting.buttons.select { |other| @fitting.worked_with(other) == with }
          .flat_map { |other| seen(other)[name] }
      end

      def general(name) = Tuning::General::QUANTITIES.fetch(name).median * 1000
    end
  end
end
