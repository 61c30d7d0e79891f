# frozen_string_literal: true

require "time"

module Kippen
  module Tuning
    # One prompt, what was intended, and what the button gave. rows – [[µs, event, level or nil]…], in the
    # order of their times; weight – in the fit only; data – the JSON object it was read from
    Trial = Struct.new(:intended, :rows, :weight, :data, keyword_init: true)

    # Trials of one button, and what a fit of it may set. settable – { setting => allowed }, see Kinds::Settable;
    # double_click_ms – of the host of a pass-through button, else nil; given – { setting => value } in force today;
    # timing_from – since when it is (ISO 8601), or nil
    Series = Struct.new(:button_id, :kind, :offered, :given, :settable, :double_click_ms, :trials, :timing_from,
                        keyword_init: true) do
      def pass_through? = offered.include?("click")

      # Those of today, with which a force button's levels are touches.
      def levels = { press_at: whole["press_at"], release_at: whole["release_at"] }
      # { setting => value } in force today, all of them.
      def whole = Fitting::Timing::USUAL.merge(given)

      # Was a trial made after today's timing was set?
      def since?(trial) = timing_from && trial.data["at"] ? Time.iso8601(trial.data["at"]) > Time.iso8601(timing_from) : false

      # The same with other trials.
      def with(trials) = dup.tap { |other| other.trials = trials }.freeze
    end

    GESTURES = %w[tap double_tap triple_tap long_press].freeze
    PASS_THROUGH = %w[click double_click drag].freeze
    # How many presses each is.
    PRESSES = { "tap" => 1, "double_tap" => 2, "triple_tap" => 3, "long_press" => 1, "click" => 1, "double_click" => 2,
                "drag" => 1, "rest" => 0,
                "carry" => 0 }.freeze
    # Nothing shall come of it.
    STILL = %w[rest carry].freeze
  end
end
