# frozen_string_literal: true

module Kippen
  module Server
    # What a sitting asks next.
    class Asking
      # row – of the sitting; trials – its rows
      def initialize(fitting, row, trials)
        @row = row
        @series = RenderTuning.series(fitting, row, trials)
      end

      # { "number", "intended", "why" } or nil where its button is gone. number – of the prompt
      def next(number: 0, asked: [])
        return unless @series
        return by_hand(number) if @row[:way] == "by_hand"

        found = Tuning::Prompts.new(@series, @series.given, @row[:seed]).at(number, before: asked)
        { "number" => number, "intended" => found.intended, "why" => found.why }
      end

      private

      # Once it is found nothing more is asked.
      def by_hand(number)
        return if Tuning::ByHand.of(@series).found

        { "number" => number, "intended" => @series.pass_through? ? "click" : "tap", "why" => "mixed" }
      end
    end

    # One step of a sitting that is held meanwhile.
    class Stepping
      def initialize(app, row, sent)
        @app = app
        @row = row
        @sent = sent
        @store = app.sittings
      end

      def step
        case @sent["do"]
        when "count", "discount", "meant" then of_trial
        when "note" then @sent["trial"] ? of_trial : @store.update(@row, note: @sent["note"])
        when "end" then @store.close(@row)
        when "open" then open
        else while_open
        end
      end

      private

      def while_open
        raise Store::Sittings::Closed, Words.say(:sitting_ended) if @row[:ended_at]

        case @sent["do"]
        when "pause" then @store.update(@row, paused: true)
        when "go_on" then @store.update(@row, paused: false)
        when "again" then @store.ask(@row, @row[:prompt]&.to_hash)
        when "skip" then answered { nil }
        when "done" then answered { keep if answer? }
        end
      end

      # Resting is an answer; where a press is asked for and none was heard, nobody has tried.
      def answer? = Tuning::PRESSES.fetch(@row[:prompt]["intended"]).zero? || @row[:trace].to_a.any?

      # Twice the same answer is one; and what came meanwhile is looked at first.
      def answered
        return unless @row[:prompt] && @row[:prompt]["number"] == @sent["prompt"]
        return if @sent["seen"] && @row[:trace].to_a.size > @sent["seen"]

        yield
        ask
      end

      def keep
        button = fitting.button(@row[:button])
        @store.keep(@row, worked_with: button && fitting.worked_with(button))
      end

      def ask
        row = @store.find(@row[:id])
        # What had no answer counts as asked, so that it isn't asked again at once.
        skipped = row[:asked].to_a.size == @row[:asked].to_a.size ? [@row[:prompt]["intended"]] : []
        @store.ask(row, Asking.new(fitting, row, trials).next(number: @row[:prompt]["number"] + 1, asked: row[:asked] + skipped))
      end

      def open
        @store.open_again(@row)
        return if @row[:prompt] || !%w[prompts by_hand].include?(@row[:way])

        last = trials.map { |one| one[:number] }.max || -1
        @store.ask(@row, Asking.new(fitting, @row, trials).next(number: last + 1, asked: @row[:asked]))
      end

      def of_trial
        trial = trials.find { |one| one[:id] == @sent["trial"] } ||
                raise(Store::Missing, Words.say(:no_trial_in_sitting, id: Faults.show(@sent["trial"])))
        may_be_meant if @sent["do"] == "meant"
        @app.trials.change(trial[:id], @sent)
      end

      # Raises Invalid for what was not asked in this sitting.
      def may_be_meant
        asked = [*@row[:offered], *Tuning::STILL]
        intended = @sent["intended"]
        return if asked.include?(intended)

        raise Invalid.at("/intended", Words.say(:must_be_one_of, value: Faults.show(intended), values: asked.join(", ")))
      end

      def trials = @app.trials.of([@row[:id]])
      def fitting = @fitting ||= @app.revisions.fitting(@row[:client_id]).first
    end
  end
end
