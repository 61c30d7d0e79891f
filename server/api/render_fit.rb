# frozen_string_literal: true

module Kippen
  module Server
    # A fit as the JSON of the contract, with what the fitting as it is now makes of it.
    class RenderFit
      # Of fewer presses a share tells nothing.
      FEW = 10

      def initialize(fitting, row)
        @fitting = fitting
        @row = row
        @button = fitting.button(row[:button])
      end

      def to_h
        about.merge("result" => @button && Store::Fits.readable?(@row) ? result : nil)
      end

      # The Series it was made from.
      def series = @series ||= Formats::TrialsJson.read(JSON.generate(@row[:file].to_hash))

      # What a timing comes to that was moved by hand: on presses that were looked at meanwhile.
      def judged(kind, name, timing)
        rates = Tuning::Judged.of(series.trials.zip(replays.scores(series.trials, timing)), from: "seen")
        compared(kind, timing, rates.merge("name" => name))
      end

      # Who pays for a timing: findings, as told.
      def pays(timing)
        unsaved = @row[:result]["unsaved"].map do |one|
          Tuning::Unsaved::Found.new(**one.to_hash.except("words").transform_keys(&:to_sym))
        end
        Tuning::Pays.new(@fitting, @button, KNOWLEDGE.of(@fitting), timing, series:, unsaved:).list.map(&:plain)
      end

      # A timing with what it doesn't say as it was when it was fitted.
      def whole(timing) = usual.merge(timing)

      # In one sentence, for the revision that rests on it.
      def self.note(result, moved: false)
        return Words.say(:fitted_and_moved, count: result["expected"]["n"]) if moved

        expected = result["expected"]
        percent = ->(share) { (share * 100).round }
        Words.say(:fitted_note, count: expected["n"], right: percent[expected["right"]], low: percent[expected["low"]],
                                high: percent[expected["high"]])
      end

      private

      def replays = @replays ||= Tuning::Replays.new(series)
      def fitted = @row[:result]["timing"]

      def about
        { "id" => @row[:id], "button" => @row[:button], "sittings" => @row[:sittings].to_a.grep(String), "state" => @row[:state],
          "done" => @row[:done], "of" => @row[:of],
          "error" => @row[:error], "price" => @row[:price], "fixed" => @row[:fixed].to_hash,
          "offered" => Array(@row[:file]["offered"]),
          "created_at" => Times.iso(@row[:created_at]), "author" => @row[:author] }
      end

      def result
        told = @row[:result].to_hash
        whole = usual.merge(told["timing"])
        { "timing" => told["timing"], "expected" => expected(told["expected"]), "confusion" => confusion(told["confusion"]),
          "compared" => sides(told["compared"]), "rests_on" => rests_on(told["rests_on"]),
          "settings" => settings(told, whole), "notes" => told["notes"],
          "more" => told["more"], "trials" => trials(whole), "pays" => pays(whole), "applies" => applies,
          "in_force" => in_force?(told["timing"]), "note" => RenderFit.note(told) }
      end

      # A timing with a share of its own, of whichever presses; kind – which of those that are held against each other.
      def compared(kind, timing, rates)
        { "kind" => kind, "name" => rates["name"], "timing" => timing,
          **Tuning::Judged.whole(rates["by_gesture"], @row[:file]["uses"]), **rates.slice("n", "from"),
          "by_gesture" => gestures(rates["by_gesture"]), "total_ms" => totals(rates["total_ms"]), "waits" => waits(timing),
          "regions" => Render.regions(Press::Regions.of(Fitting::Timing.from(timing))),
          "state" => Tuning::Along.state(replays, series, timing) }
      end

      # In the order of Tuning::SideBySide.
      def sides(told)
        today, *unfitted, by_hand, fitted = told
        [today_of(today), *unfitted.map { |one| side("unfitted", one) }, side("by_hand", by_hand), side("fitted", fitted)]
      end

      def side(kind, told) = compared(kind, told["timing"], told)

      # Today's is what the button has by now: what was applied of this fit has its promise.
      def today_of(told)
        return side("today", told) if now == series.whole
        return compared("today", now, @row[:result]["compared"].last.merge("name" => told["name"])) if in_force?(fitted)

        judged("today", told["name"], now)
      end

      def rests_on(told)
        beside = told["beside"]
        words = [own_words(told["own"])]
        if beside["presses"].positive?
          words << Words.say(beside["weight"].positive? ? :rests_on_beside : :rests_not_on_beside, count: beside["presses"])
        end
        { "own" => told["own"], "beside" => beside["presses"], "weight" => beside["weight"],
          "never_asked" => told["never_asked"], "words" => words.join(" ") }
      end

      # Those of other buttons that count as this one's are told.
      def own_words(count)
        others = @row[:file]["trials"].filter_map { |one| one["button"] if one["counted"] != false }.reject do |ref|
          ref == @row[:button]
        end
        return Words.say(:rests_on_own, count:) if others.empty?

        buttons = others.uniq
          .map { |ref| @fitting.button(ref)&.then { |one| Words.button(@fitting.device(one.device), one) } || ref }.join(", ")
        Words.say(:rests_on_as_own, count:, others: others.size, buttons:)
      end

      # What the button has as it is now, not as it was when it was fitted.
      def now = @now ||= usual.merge(@fitting.timing(@button).settings)

      def usual = Fitting::Timing::USUAL.merge(series.given)

      def expected(told)
        told.slice("right", "low", "high", "n", "from")
          .merge("few" => told["n"] < FEW, "by_gesture" => gestures(told["by_gesture"]), "total_ms" => totals(told["total_ms"]))
      end

      def gestures(by) = by.map { |intended, share| share.merge("intended" => intended) }
      def totals(by) = by.map { |intended, ms| { "intended" => intended, "ms" => ms } }

      def confusion(by)
        by.map do |intended, got|
          { "intended" => intended, "got" => got.map { |what, count| { "what" => what, "count" => count } } }
        end
      end

      # Of what was asked, whether it is on the button or not.
      def waits(timing)
        given = Fitting::Timing.from(timing)
        Press::Waits.of(replays.choice, given).map do |gesture, wait|
          { "gesture" => gesture, "words" => Words.wait(wait, given) }
        end
      end

      def settings(told, whole)
        explained = Tuning::Explained.new(series, whole, told["sweeps"])
        told["sweeps"].map do |name, swept|
          { "name" => name, "value" => whole[name], "today" => now[name], "fixed" => fixed?(name),
            "stretch" => stretch(name, whole), "words" => explained.of(name), "room" => explained.around(name), **limits(name),
            "settable" => Words.settable(name, series.settable[name]),
            "sweep" => swept.map { |row| %w[value ghosts lost total_ms].zip(row).to_h } }
        end
      end

      # On which of a lane's two it lies; nil for a level.
      def stretch(name, whole)
        return "held" if %w[brush_guard_ms long_press_ms].include?(name)
        return if Tuning::Space::LEVELS.include?(name)

        whole[name.sub("_ms", "_from")] == "press" ? "held" : "apart"
      end

      # Between which values it can be set.
      def limits(name)
        allowed = series.settable[name] || {}
        range = Fitting::Timing::SETTINGS.fetch(name).range
        all = allowed["values"] || [allowed["fixed"] || allowed["from"] || range.begin,
                                    allowed["fixed"] || allowed["to"] || range.end]
        { "from" => all.min, "to" => all.max }
      end

      # It can't be set to anything else there.
      def fixed?(name) = series.settable[name]&.key?("fixed") || false

      def trials(whole)
        series.trials.map do |trial|
          marks = Tuning::Marks.of(trial, press_at: whole["press_at"], release_at: whole["release_at"])
          { "id" => trial.data["id"] || "", "intended" => trial.intended, "held" => marks["held"], "apart" => marks["apart"],
            "levels" => trial.rows
              .filter_map { |at, _, level| level && { "at_ms" => (at / 1000.0).round(1), "level" => level } } }
        end
      end

      # Is it what the button has already?
      def in_force?(timing) = @fitting.timing(@button).settings.slice(*timing.keys) == timing

      # To what it can be applied.
      def applies
        device = @fitting.device(@button.device)
        with = @fitting.worked_with(@button)
        [{ "scope" => "button", "of" => @button.ref, "words" => Words.say(:applies_button) },
         { "scope" => "device", "of" => device.id, "words" => Words.say(:applies_device, device: device.name || device.id) },
         ({ "scope" => "worked_with", "of" => with, "words" => Words.say(:applies_worked_with, with:) } if with)].compact
      end
    end
  end
end
