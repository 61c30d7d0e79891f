# frozen_string_literal: true

module Kippen
  module Tuning
    # Replays trials under timings: what the engine makes of them, nothing else. A timing is a Hash of
    # settings as a file has them.
    class Replays
      # After a trial's last event time runs on for so long.
      SETTLED_US = 10_000_000
      COUNTED = %w[fire start unassigned].freeze

      # verdict: "right", "missed", "extra", "other" or "unwanted"; got – the gesture that came out, "missed" or "extra";
      # total_us – of a right one; nil for rest
      Score = Struct.new(:verdict, :got, :total_us)

      # How many trials were replayed.
      attr_reader :count

      # series – Series; deadline – how long it may take, looked at before each trial
      def initialize(series, deadline: Deadline::NEVER)
        @series = series
        @deadline = deadline
        @fitting = fitting
        @resolver = Press::Resolver.new(@fitting)
        @count = 0
        @remembered = {}
      end

      # The Score of a Trial under a timing.
      def score(trial, timing)
        remembered = @remembered[trial] ||= {}.compare_by_identity
        key = key(timing)
        remembered[key] ||= @deadline.check || judge(trial, outcomes(trial, key))
      end

      # How often a Trial counts under a timing.
      def rows(trial, timing) = outcomes(trial, key(timing)).size

      # [Score] of some trials.
      def scores(trials, timing) = trials.map { |trial| score(trial, timing) }

      # What the button offers: a Press::Resolver::Choice.
      def choice = @resolver.choice(@fitting.buttons.first, Fitting::BASE, @resolver.spot(""))

      private

      # The same Timing for the same settings.
      def key(timing)
        @keys ||= {}
        @keys[timing] ||= Fitting::Timing.from(timing)
      end

      # One button with what is offered on it; where clicks go through it is down as long as it is held.
      def fitting
        gestures = @series.pass_through? ? %w[hold] : @series.offered
        document = { "kippen" => Fitting::FORMAT, "devices" => [{ "id" => "d", "buttons" => [{ "id" => "b", "kind" => @series.kind }] }],
                     "assignments" => gestures.map { |gesture| { "button" => "d/b", "gesture" => gesture, "action" => { "kind" => "nothing" } } } }
        Fitting.read(document)
      end

      def outcomes(trial, timing)
        @count += 1
        engine = Press::Engine.new(Press::Timed.new(@fitting, timing), resolver: @resolver)
        last = 0
        trial.rows.each do |at, kind, level|
          last = at
          case kind
          when "down" then engine.down(at, 0)
          when "up" then engine.up(at, 0)
          else engine.level(at, 0, level)
          end
        end
        engine.tell(last + SETTLED_US)
        engine.take.select { |row| COUNTED.include?(row.phase) }
      end

      def judge(trial, rows)
        return Score.new(rows.empty? ? "right" : "unwanted", rows.empty? ? "rest" : got(rows), nil) if STILL.include?(trial.intended)
        return judge_clicks(trial, rows) if @series.pass_through?
        return Score.new("missed", "missed", nil) if rows.empty?
        return Score.new("extra", "extra", nil) if rows.size > 1

        gesture = rows[0].gesture
        right = rows[0].phase != "unassigned" && gesture == trial.intended
        right ? Score.new("right", gesture, rows[0].at_us - rows[0].began_us) : Score.new("other", gesture, nil)
      end

      def judge_clicks(trial, rows)
        wanted = trial.intended == "double_click" ? 2 : 1
        return Score.new("extra", "extra", nil) if rows.size > wanted
        return Score.new("missed", "missed", nil) if rows.size < wanted || (wanted == 2 && (rows[1].at_us - rows[0].at_us) >= @series.double_click_ms * 1000)

        Score.new("right", trial.intended, rows[0].at_us - rows[0].began_us)
      end

      def got(rows) = rows.size > 1 ? "extra" : rows[0].gesture
    end
  end
end
