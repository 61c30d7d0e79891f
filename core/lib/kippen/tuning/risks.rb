# frozen_string_literal: true

module Kippen
  module Tuning
    # What becomes quicker or easier to set off, though a wrong press of it is serious or dangerous.
    class Risks
      # From such a weight on a wrong press is serious: see GestureUse::WEIGHTS.
      SERIOUS = 2
      # Which way a setting moves that makes a gesture easier to set off: down or up.
      EASIER = { "tap" => { "brush_guard_ms" => -1, "bounce_guard_ms" => -1, "press_at" => -1 },
                 "double_tap" => { "tap_gap_ms" => 1, "brush_guard_ms" => -1, "bounce_guard_ms" => -1, "press_at" => -1 },
                 "long_press" => { "long_press_ms" => -1, "gap_bridge_ms" => 1, "brush_guard_ms" => -1,
                                   "press_at" => -1 } }.freeze
      LIKE = { "triple_tap" => "double_tap", "click" => "tap", "double_click" => "tap", "drag" => "tap" }.freeze

      # gesture; settings – those that make it so; words
      Risk = Struct.new(:gesture, :settings, :words, keyword_init: true)

      # series – Series, with the weights of its trials; before, after – { setting => value } whole. Returns [Risk].
      def self.of(series, before, after)
        dear = series.trials.reject { |trial| STILL.include?(trial.intended) }.select { |trial| trial.weight >= SERIOUS }
          .map(&:intended).uniq
        (series.offered & dear).filter_map { |gesture| risk(gesture, before, after) }.freeze
      end

      def self.risk(gesture, before, after)
        easier = EASIER.fetch(LIKE.fetch(gesture, gesture))
        moved = easier.select { |setting, way| ((after[setting] - before[setting]) * way).positive? }.keys
        return if moved.empty?

        what = moved.map do |setting|
          from, to = [before, after].map { |timing| Words.value(setting, timing[setting]) }
          Words.say(:risk_moved, setting: Words.setting(setting), from:, to:)
        end
        Risk.new(gesture:, settings: moved,
                 words: Words.say(:risk_easier, gesture: Words.gesture(gesture).capitalize, moved: what.join(", "))).freeze
      end
      private_class_method :risk
    end
  end
end
