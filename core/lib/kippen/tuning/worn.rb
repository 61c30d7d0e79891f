# frozen_string_literal: true

module Kippen
  module Tuning
    # Hand or switch? Presses by the specialist's own finger: what comes twice with those too is the switch.
    module Worn
      # A contact that opens for so short a time was not let go by a finger: hands let go for 30 ms and more
      # (common practice, no source).
      BOUNCE_US = 30_000
      # Fewer presses say little; and one bounce in so many is nothing of a switch: a good one bounces now and then
      # (common practice, no source).
      FEW = 5
      MANY = 40

      # worn – true, false, or nil where too few were pressed; bounced, of – presses; bridge_ms – a gap bridge that
      # carries across every gap heard, or nil
      Answer = Struct.new(:worn, :bounced, :of, :bridge_ms, keyword_init: true)

      module_function

      # series – of the specialist's presses. Returns an Answer.
      def of(series)
        pressed = series.trials.reject { |trial| STILL.include?(trial.intended) || trial.rows.empty? }
        gaps = pressed.map { |trial| short_gaps(trial, series) }
        bounced = gaps.count(&:any?)
        worn = worn(bounced, pressed.size)
        Answer.new(worn:, bounced:, of: pressed.size, bridge_ms: worn ? (gaps.flatten.max / 1000.0 * 1.25).ceil : nil).freeze
      end

      # nil: one alone may be chance, more presses tell.
      def worn(bounced, of)
        return bounced * MANY > of if bounced > 1

        false unless of < FEW || (bounced == 1 && of < MANY)
      end

      def short_gaps(trial, series)
        Touches.of(trial.rows, **series.levels).each_cons(2).map { |one, other| other[0] - one[1] }.select do |gap|
          gap < BOUNCE_US
        end
      end

      # In a sentence.
      def words(answer)
        return Words.say(:worn_unknown, of: answer.of, few: FEW) if answer.worn.nil?
        return Words.say(:worn_not, of: answer.of) unless answer.worn

        Words.say(:worn_yes, bounced: answer.bounced, of: answer.of, bridge: answer.bridge_ms)
      end
      private_class_method :worn, :short_gaps
    end
  end
end
