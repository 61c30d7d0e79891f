# frozen_string_literal: true

require "base64"

module Kippen
  module Server
    # A recording or a trace that somebody brings: which codes it has, the trace that it becomes once each stands for a button,
    # and what every press of it would do here.
    class TakenTrace
      # So many presses are told.
      MOST = 200
      # Of work of a core.
      MOST_S = 2.0

      # sent – { "recording" => base64 } with "stands" => [{ "code", "button" }], or { "trace" => CSV }
      def initialize(fitting, sent)
        @fitting = fitting
        @sent = sent
      end

      # As the contract has it. Raises Invalid.
      def to_h
        text = @sent["trace"] || of_recording
        presses, more = text ? replayed(text) : [[], false]
        { "heard" => heard, "trace" => text, "presses" => presses, "more" => more }
      end

      private

      def recorded = Formats::RecordedTrace.new(CODES)

      def events
        @events ||= @sent["recording"] ? Formats::Recording.read(Base64.strict_decode64(@sent["recording"])) : []
      rescue ArgumentError
        raise Invalid.at("/recording", Words.say(:no_recording))
      end

      # With the button whose kind sends that, where there is but one.
      def heard
        codes = TraceCodes.new(@fitting).by_button
        recorded.heard(events).map do |code, presses|
          { "code" => code, "presses" => presses, "likely" => codes.key(code) }
        end
      end

      def of_recording
        stands = @sent.fetch("stands", []).to_h { |one| one.values_at("code", "button") }
        stands.each_value do |ref|
          @fitting.button(ref) || raise(Invalid.at("/stands", Words.say(:unknown_button, ref: Faults.show(ref))))
        end
        return if stands.empty?

        Formats::TraceCsv.text(recorded.rows(events, stands))
      end

      # [[what each press came to…], are there more?]
      def replayed(text)
        deadline = Server.deadline(MOST_S)
        telling = Press::Telling.new(@fitting, CATALOGUE)
        found = []
        Press::Replay.stream(@fitting, StringIO.new(text)) do |outcome|
          deadline.check
          found << outcome if found.size <= MOST && outcome.phase != "repeat"
        end
        [found.first(MOST).map { |outcome| told(outcome, telling) }, found.size > MOST]
      end

      def told(outcome, telling)
        button = @fitting.button(outcome.button)
        { "at_ms" => outcome.at_us / 1000, "button" => Words.button(@fitting.device(button.device), button),
          "phase" => outcome.phase, "gesture" => outcome.gesture ? Words.gesture(outcome.gesture) : Words.say(:gesture_ignored),
          "action" => telling.action_name(outcome), "reason" => outcome.reason }
      end
    end
  end
end
