# frozen_string_literal: true

module Kippen
  module Tuning
    # Gestures that no timing tells for this person. Said only where a timing made for the gesture alone, against what it is
    # taken for and resting, at whatever wait and with nothing held, can't tell it either, on presses that it had not seen.
    class Unsaved
      # Of so many trials it is said, and below which share.
      FEW = 8
      GOOD = 0.9
      PRICE = Fit::PRICES.first

      # gesture; right – share with a timing of its own; n – of trials; as – what it mostly came out as, or nil
      Found = Struct.new(:gesture, :right, :n, :as, keyword_init: true) do
        # In a sentence.
        def words
          said = Words.say(:no_timing_saves, gesture: Words.gesture(gesture), percent: (right * 100).round, count: n)
          as ? "#{said} #{Words.say(:came_out_mostly, as: Words.gesture(as))}" : said
        end
      end

      # series – of all trials; scores – [[Trial, Score]…], unseen. Returns [Found].
      def self.of(series, scores, replays) = new(series, scores, replays).list

      def initialize(series, scores, replays)
        @series = series
        @scores = scores
        @replays = replays
      end

      def list
        @series.offered.filter_map { |gesture| alone(gesture) if told?(Judged.of(@scores, from: "unseen"), gesture) }.freeze
      end

      private

      def told?(judged, gesture) = judged["by_gesture"][gesture].then { |one| one && one["n"] >= FEW && one["high"] < GOOD }

      def alone(gesture)
        taken = wrong(gesture)
        among = [gesture, *taken.keys, *takes(gesture), *STILL]
        series = @series.with(@series.trials.select { |trial| among.include?(trial.intended) })
        judged = Judged.of(Promise.new(series, price: PRICE, replays: @replays, spare: false).unseen, from: "unseen")
        return unless told?(judged, gesture)

        one = judged["by_gesture"][gesture]
        Found.new(gesture:, right: one["right"], n: one["n"], as: taken.max_by { |got, count| [count, got] }&.first).freeze
      end

      # { what its wrong ones came out as => how often }
      def wrong(gesture)
        @scores.select { |trial, score| trial.intended == gesture && !score.right? }.map { |_, score| score.got }.tally
      end

      # What is taken for it.
      def takes(gesture)
        @scores.select { |trial, score| trial.intended != gesture && score.got == gesture }.map { |trial, _| trial.intended }.uniq
      end
    end
  end
end
