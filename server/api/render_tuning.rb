# frozen_string_literal: true

module Kippen
  module Server
    # Sittings and trials as the JSON of the contract.
    class RenderTuning
      # So many trials of each gesture are aimed at, and so many of resting.
      AIM = 9
      AIM_STILL = 4

      def initialize(fitting)
        @fitting = fitting
      end

      # row – of a sitting; trials – its rows
      def sitting(row, trials)
        series = RenderTuning.series(@fitting, row, trials)
        button = @fitting.button(row[:button])
        about(row).merge(
          "prompt" => prompt(row[:prompt]), "heard" => heard(row, button), "rows" => row[:trace].to_a.size,
          "trials" => trials.map { |trial| trial(trial, series && mark(series, trial)) },
          "counted" => trials.count { |trial| trial[:counted] },
          "aim" => (row[:offered].size * AIM) + AIM_STILL, "more" => series && more(series),
          "by_hand" => series && row[:way] == "by_hand" ? by_hand(series) : nil,
          "worn" => series && row[:whose] == "specialist" ? worn(series) : nil
        )
      end

      # What the client's own device shows of it.
      def asked(row)
        heard = heard(row, @fitting.button(row[:button]))
        prompt(row[:prompt]).except("why").merge("sitting" => row[:id], "paused" => row[:paused], "rows" => row[:trace].to_a.size,
                                                 "presses" => heard["presses"], "down" => heard["down"])
      end

      # Without its trials. counts – { intended => how many count }
      def summary(row, counts)
        about(row).merge("counts" => counts.map { |intended, count| { "intended" => intended, "count" => count } },
                         "counted" => counts.values.sum)
      end

      # The Series of a sitting's trials, or nil where its button is gone.
      def self.series(fitting, row, trials)
        button = fitting.button(row[:button]) or return
        items = Store::Trials.items(trials, button.kind, row[:offered])
        file = Tuning::Offer.document(fitting, button, KINDS, offered: row[:offered].to_a, trials: items)
        Formats::TrialsJson.read(JSON.generate(file))
      end

      # What the client is told, on whichever screen.
      def self.words(intended) = Words.say(:"prompt_#{intended}")

      private

      def about(row)
        button = @fitting.button(row[:button])
        { "id" => row[:id], "button" => row[:button],
          "button_name" => button ? Words.button(@fitting.device(button.device), button) : row[:button],
          "there" => !button.nil?, "way" => row[:way], "whose" => row[:whose], "offered" => row[:offered].to_a,
          "began_at" => Times.iso(row[:began_at]),
          "open" => row[:ended_at].nil?, "paused" => row[:paused], "author" => row[:author], "note" => row[:note] }
      end

      def prompt(prompt)
        prompt && { "number" => prompt["number"], "intended" => prompt["intended"],
                    "words" => RenderTuning.words(prompt["intended"]),
                    "wants" => Tuning::PRESSES.fetch(prompt["intended"]), "why" => Words.say(:"asked_#{prompt["why"]}") }
      end

      # What this prompt gave so far.
      def heard(row, button)
        timing = button && @fitting.timing(button)
        trial = Tuning::Trial.new(intended: "tap", rows: row[:trace].to_a)
        marks = { "held" => [], "apart" => [] }
        marks = Tuning::Marks.of(trial, press_at: timing.press_at, release_at: timing.release_at) if timing
        held = marks["held"]
        { "presses" => held.size, "down" => down?(trial.rows.last, timing), "words" => Words.heard(held), **marks }
      end

      # Is the button down after a row?
      def down?(row, timing)
        _, kind, level = row
        kind == "level" ? level > (timing&.release_at || 0) : kind == "down"
      end

      def trial(row, mark)
        { "id" => row[:id], "number" => row[:number], "intended" => row[:intended],
          "words" => RenderTuning.words(row[:intended]), "counted" => row[:counted],
          "note" => row[:note], "heard_by" => row[:heard_by], "at" => Times.iso(row[:at]),
          "held" => mark&.fetch("held") || [], "apart" => mark&.fetch("apart") || [] }
      end

      def mark(series, row)
        trial = Tuning::Trial.new(intended: row[:intended], rows: row[:trace].to_a)
        Tuning::Marks.of(trial, press_at: series.given["press_at"], release_at: series.given["release_at"])
      end

      def more(series)
        gesture, count = Tuning::Prompts.new(series, series.given, 0).worth
        gesture && { "gesture" => gesture, "count" => count }
      end

      def by_hand(series)
        state = Tuning::ByHand.of(series)
        { "guard_ms" => state.guard_ms, "found" => state.found,
          "tried" => state.tried.map { |guard, counted| { "guard_ms" => guard, "counted" => counted } } }
      end

      def worn(series)
        answer = Tuning::Worn.of(series)
        { "worn" => answer.worn, "bridge_ms" => answer.bridge_ms, "words" => Tuning::Worn.words(answer) }
      end
    end
  end
end
