# frozen_string_literal: true

require_relative "words/changes"
require_relative "words/check"
require_relative "words/faults"
require_relative "words/handover"
require_relative "words/in_other_words"
require_relative "words/plurals"
require_relative "words/presses"
require_relative "words/tuning"
require_relative "words/where"

module Kippen
  # Every sentence the core says, in one place, ready to be put into another language.
  # Parts in %{…} are filled in by name.
  module Words
    ENGLISH = [PRESSES, CHANGES, CHECK, HANDOVER, FAULTS, WHERE, TUNING]
      .inject { |all, more| all.merge(more) { |key| raise "two sentences are called #{key}" } }.freeze

    # What is said in this process: set once, when it begins.
    @english = ENGLISH
    @spoken = ENGLISH
    @plural = Plurals.of("en")

    # Says more sentences from now on: of those that stand on the core. more – as ENGLISH
    def self.with(more)
      @english = @english.merge(more) { |key| raise ArgumentError, "two sentences are called #{key}" }.freeze
      @spoken = @english
    end

    # Speaks another language from now on. What it has no sentence for is said in English.
    # sentences – { key => sentence, or { "one" => …, "other" => … } }; pointer – where they stand. Raises Invalid where one of
    # them can't be filled in.
    def self.speak(locale, sentences, pointer: "")
      @spoken = @english.merge(InOtherWords.read(@english, sentences, pointer)).freeze
      @plural = Plurals.of(locale)
    end

    # In the language it is written in.
    def self.in_english = speak("en", {})

    # All sentences, as they are written: { key => sentence }.
    def self.written = @english

    # key – of a sentence; returns the sentence.
    def self.say(key, **parts) = InOtherWords.fill(@spoken.fetch(key), @plural, parts)

    def self.said?(key) = @english.key?(key)

    # A Press::Waits::Wait as it stands on a chip; timing – the button's.
    def self.wait(wait, timing)
      return say(:wait_long, ms: ms(timing.long_press_us + wait.us)) if wait.after == "long_press"
      return say(:wait_hold_end) if wait.after == "hold_end"
      return say(:wait_now) if wait.us.zero?

      say(wait.after == "release" ? :wait_release : :wait_press, ms: ms(wait.us))
    end

    # The same in a sentence of its own: "at once", where nothing is waited for.
    def self.comes(wait, timing)
      %w[press release].include?(wait.after) && wait.us.zero? ? say(:waited_nothing) : wait(wait, timing)
    end

    # What waiting, and acting at once, mean for a tap: a Press::Lane::TapChoice; timing – the button's.
    def self.tap_waits(choice, timing) = say(:tap_waits, wait: wait(choice.waits, timing))

    def self.tap_at_once(choice, timing)
      say(:tap_at_once, wait: wait(choice.at_once, timing),
                        counts: list(choice.counts.map { |one| gesture(one) }))
    end

    # A gesture, or what is done to a button that passes its clicks on, as it is said: "double-click".
    def self.gesture(name) = say(:"gesture_#{name}")

    # "first, second and third"; either: "first, second or third".
    def self.list(words, either: false)
      return words.join if words.size < 2

      say(either ? :list_either : :list_end, list: words[0..-2].join(", "), last: words.last)
    end

    # A setting's name as it is said: "Tap gap".
    def self.setting(name)
      key = [:"setting_#{name}", :"setting_#{name}_ms"].find { |one| said?(one) }
      key ? say(key) : name.delete_suffix("_ms").tr("_", " ").capitalize
    end

    # A setting's value with its unit.
    def self.value(name, value) = name.end_with?("_ms") ? say(:value_ms, value:) : value.to_s

    # A button with the device it is on; the only button of a device is called as the device is.
    def self.button(device, button)
      name = device.name || device.id
      device.buttons.one? ? name : say(:button_of, device: name, button: button.name || button.id)
    end

    # What can be set of a setting on a device, from its kind's data: "0 to 500 ms, in steps of 10".
    def self.settable(name, allowed)
      return say(:anything) if allowed.nil?

      return say(:value_fixed, value: value(name, allowed["fixed"])) if allowed.key?("fixed")
      return value(name, allowed["values"].join(", ")) if allowed["values"]

      range = allowed.slice("from", "to", "step").transform_keys(&:to_sym)
      say(name.end_with?("_ms") ? :values_to_ms : :values_to, **range)
    end

    # A Tuning::Drift::Change in a sentence.
    def self.drift(change)
      words = drifted(change)
      return say(:drift_unknown, words:) if change.p.nil?

      say(change.changed? ? :drift_changed : :drift_same, words:, p: number((change.p * 100).round(1)))
    end

    # What it was then and is now.
    def self.drifted(change)
      shown = [change.before, change.after].map do |value|
        if value.nil?
          "–"
        else
          number(change.what == "wrong" ? (value * 100).round(1) : value)
        end
      end
      say(:"drift_#{change.what}", before: shown[0], after: shown[1])
    end

    # A measured number, whole where it is.
    def self.number(value) = value == value.to_i ? value.to_i.to_s : value.to_s

    # What a prompt has given so far; held – [ms…] of each press.
    def self.heard(held)
      return say(:heard_nothing) if held.empty?

      say(:heard_touches, count: held.size, last: number(held.last))
    end

    # Where what a Press::Lane falls back to stands: a Press::Lane::Chip, in words.
    def self.from(fitting, lane, chip)
      place = say(:from_place, place: place(fitting, chip.place)) unless chip.place == lane.place
      mode = say(:from_mode, mode: mode(fitting, chip.mode)) unless chip.mode == lane.mode
      [place, mode].compact.join(", ")
    end

    def self.place(fitting, id) = id == Fitting::EVERYWHERE ? say(:every_app) : fitting.place(id)&.name || Fitting::Apps.named(id)
    def self.mode(fitting, id) = id == Fitting::BASE ? say(:usual) : fitting.mode(id)&.name || id

    # What a change costs a gesture: from one Wait to another, in words, or nil where nothing changes.
    def self.cost(gesture, before, after)
      name = gesture(gesture)
      if [before.after, after.after].one?("hold_end")
        return say(after.after == "hold_end" ? :cost_hold_end : :cost_no_hold, gesture: name)
      end

      grown = after.us - before.us
      return say(:cost_more, gesture: name, ms: ms(grown)) if grown.positive?
      return say(:cost_release, gesture: name) if after.after == "release" && before.after == "press"

      say(:cost_less, gesture: name, ms: ms(-grown)) if grown.negative?
    end

    # A Press::LimitsOfTiming::Limit with the figures that make it so; timing – the button's.
    def self.limit(limit, timing)
      figures = { "bounce_guard" => timing.bounce_guard_us, "gap_bridge" => timing.gap_bridge_us,
                  "brush_guard" => timing.brush_guard_us,
                  "long_press" => timing.long_press_us }
      reasons = limit.reasons.map { |name| say(:"reason_#{name}", ms: ms(figures.fetch(name))) }
      reasons << say(:reason_tap_gap, ms: ms(limit.gap_us)) if limit.gap_us
      say(limit.how.to_sym, gesture: gesture(limit.gesture), reasons: reasons.join(", "))
    end

    # From this length on nobody reads a tenth of a millisecond.
    WHOLE_FROM_US = 20_000

    # A measured length in milliseconds. Cut, not rounded: what was let go just before
    # 500 ms must not read as 500.
    def self.measured(microseconds)
      microseconds < WHOLE_FROM_US ? ms(microseconds) : (microseconds / 1000).to_s
    end

    # A pause in ms as people say it: "1.5 s".
    def self.pause(time_ms)
      seconds = time_ms / 1000.0
      say(:value_s, value: seconds.to_i == seconds ? seconds.to_i : seconds)
    end

    # Microseconds of a setting or a wait as milliseconds: "300", "8.5".
    def self.ms(microseconds)
      tenths = (microseconds / 100.0).round
      (tenths % 10).zero? ? (tenths / 10).to_s : (tenths / 10.0).to_s
    end
  end
end
