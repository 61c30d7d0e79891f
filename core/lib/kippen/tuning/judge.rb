# frozen_string_literal: true

module Kippen
  module Tuning
    # What the engine makes of one trace under a timing, and whether that is what was intended. Guesses nothing.
    class Judge
      # After a trial's last event time runs on for so long.
      SETTLED_US = 10_000_000
      COUNTED = %w[fire start unassigned].freeze

      # verdict: "right", "missed", "extra", "other" or "unwanted"; got – the gesture that came out, "missed" or "extra";
      # total_us – of a right one; nil for rest
      Score = Struct.new(:verdict, :got, :total_us) do
        def right? = verdict == "right"
      end

      # How many traces were replayed.
      attr_reader :count

      # series – Series: what is offered on the button, and the host's double-click time
      def initialize(series)
        @series = series
        @fitting = fitting
        @resolver = Press::Resolver.new(@fitting)
        @count = 0
      end

      # What the button offers: a Press::Resolver::Choice.
      def choice = @resolver.choice(@fitting.buttons.first, Fitting::BASE, @resolver.spot(""))

      # The rows that count, of contacts under a Fitting::Timing.
      def outcomes(contacts, timing)
        @count += 1
        engine = Press::Engine.new(Press::Timed.new(@fitting, timing), resolver: @resolver)
        contacts.each { |at, kind| kind == "down" ? engine.down(at, 0) : engine.up(at, 0) }
        engine.tell((contacts.last&.first || 0) + SETTLED_US)
        engine.take.select { |row| COUNTED.include?(row.phase) }
      end

      # The Score of what came, for what was intended.
      def score(intended, rows)
        return Score.new(rows.empty? ? "right" : "unwanted", rows.empty? ? "rest" : got(rows), nil) if STILL.include?(intended)
        return clicks(intended, rows) if @series.pass_through?
        return Score.new("missed", "missed", nil) if rows.empty?
        return Score.new("extra", "extra", nil) if rows.size > 1

        gesture = rows[0].gesture
        right = rows[0].phase != "unassigned" && gesture == intended
        right ? Score.new("right", gesture, total(rows)) : Score.new("other", gesture, nil)
      end

      private

      # One button with what is offered on it; where clicks go through it is down as long as it is held.
      def fitting
        gestures = @series.pass_through? ? %w[hold] : @series.offered
        document = { "kippen" => Fitting::FORMAT,
                     "devices" => [{ "id" => "d", "buttons" => [{ "id" => "b", "kind" => "contact" }] }],
                     "assignments" => gestures
                       .map { |gesture| { "button" => "d/b", "gesture" => gesture, "action" => { "kind" => "nothing" } } } }
        Fitting.read(document)
      end

      def clicks(intended, rows)
        wanted = intended == "double_click" ? 2 : 1
        return Score.new("extra", "extra", nil) if rows.size > wanted
        if rows.size < wanted || (wanted == 2 && (rows[1].at_us - rows[0].at_us) >= @series.double_click_ms * 1000)
          return Score.new("missed", "missed", nil)
        end

        Score.new("right", intended, total(rows))
      end

      def total(rows) = rows[0].at_us - rows[0].began_us
      def got(rows) = rows.size > 1 ? "extra" : rows[0].gesture
    end
  end
end
