# frozen_string_literal: true

module Kippen
  module Reach
    # The chance that a gesture comes out as meant: this client's trials on the button, replayed with what it would offer then,
    # pulled towards the same part of the body's other buttons where they are few, and that towards people in general.
    class Rates
      # right – the chance; low, high – within which it lies, of 95; n – trials of this button's that it rests on
      Rate = Struct.new(:right, :low, :high, :n, keyword_init: true) do
        def measured? = n.positive?

        # Both, one after the other.
        def *(other)
          self.class.new(right: right * other.right, low: low * other.low, high: high * other.high, n: [n, other.n].min).freeze
        end
      end

      # What is known before anything of this client is: invented.
      GENERAL = { "tap" => 0.97, "double_tap" => 0.9, "triple_tap" => 0.8, "long_press" => 0.92, "hold" => 0.92,
                  "builtin" => 0.97 }.freeze
      # It counts as so many presses.
      WEIGHT = 8
      SURE = Rate.new(right: 1.0, low: 1.0, high: 1.0, n: WEIGHT).freeze

      # What a button offers as usual, everywhere, in the words of trials; what it does by itself is a tap.
      def self.offered(fitting, button)
        of_choice(Press::Lane.new(fitting, button).choice)
      end

      def self.of_choice(choice)
        return %w[tap] if choice.kind != :assigned

        %i[tap double_tap triple_tap].select { |gesture| choice[gesture] }.map(&:to_s) + (choice.long ? %w[long_press] : [])
      end

      # presses – Check::Presses
      def initialize(fitting, presses)
        @fitting = fitting
        @presses = presses
        @known = {}
      end

      # gesture – as an assignment has it; offered – gestures of Tuning::GESTURES that the button offers. Returns Rate.
      def of(button, gesture, offered)
        asked = ASKED.fetch(gesture, gesture)
        @known[[button.ref, gesture, offered]] ||= begin
          right, of = counts(button, asked, offered)
          expected = of_hand(button, gesture, asked)
          rate(right, of, expected)
        end
      end

      ASKED = { "hold" => "long_press", "builtin" => "tap" }.freeze
      private_constant :ASKED

      private

      # Wilson's interval of what was seen; where nothing was, of what is expected, as though that were WEIGHT presses.
      def rate(right, of, expected)
        share = (right + (WEIGHT * expected)) / (of + WEIGHT)
        low, high = of.positive? ? Statistics.wilson(right, of) : Statistics.wilson(expected * WEIGHT, WEIGHT)
        Rate.new(right: share, low: [low, share].min, high: [high, share].max, n: of).freeze
      end

      # [right, of all] of a button's trials of a gesture, with an offer.
      def counts(button, asked, offered)
        return [0, 0] unless offered.include?(asked)

        mine = @presses.offering(button, offered).select { |trial, _| trial.intended == asked }
        [mine.count { |_, score| score.right? }, mine.size]
      end

      def of_hand(button, gesture, asked)
        general = GENERAL.fetch(gesture)
        right, of = of_others(button, asked)
        (right + (WEIGHT * general)) / (of + WEIGHT)
      end

      # [right, of all] of the other buttons that the same part of the body works, by what they offer today.
      def of_others(button, asked)
        with = @fitting.worked_with(button) or return [0, 0]

        counted = hand(with, asked)
        counted.except(button.ref).values.transpose.map(&:sum).then { |sums| sums.empty? ? [0, 0] : sums }
      end

      # { ref => [right, of all] } of those that have any.
      def hand(with, asked)
        @hands ||= {}
        @hands[[with, asked]] ||= @fitting.buttons.select { |one| @fitting.worked_with(one) == with }
          .to_h { |one| [one.ref, counts(one, asked, Rates.offered(@fitting, one))] }.reject { |_, (_, of)| of.zero? }
      end
    end
  end
end
