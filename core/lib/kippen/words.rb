# frozen_string_literal: true

require_relative "words/changes"
require_relative "words/faults"
require_relative "words/where"
require_relative "words/tuning"

module Kippen
  # Every sentence the core says, in one place, ready to be put into another language.
  # Parts in %{…} are filled in by name.
  module Words
    GESTURES = { "tap" => "tap", "double_tap" => "double-tap", "triple_tap" => "triple-tap",
                 "long_press" => "long-press", "hold" => "hold", "builtin" => "by itself" }.freeze

    COUNTS = { 2 => "second", 3 => "third" }.freeze

    PARTS = { "brush_guard" => "brush guard", "gap_bridge" => "gap bridge", "press" => "the press itself", "tap_gap" => "tap gap",
              "touch" => "a touch that might have become a press", "hold" => "the other button was held" }.freeze

    EN = {
      closed: "Closed for %{length} ms.",
      closed_still: "Closed, still down.",
      notch: "One step of the wheel.",
      closed_gaps_one: "Closed for %{length} ms with a drop-out of %{gaps} ms, carried across by the gap bridge.",
      closed_gaps_many: "Closed for %{length} ms with drop-outs of %{gaps} ms, carried across by the gap bridge.",
      again: "Pressed again %{apart} ms after letting go, for %{length} ms.",
      again_still: "Pressed again %{apart} ms after letting go, still down.",
      brush: "Shorter than the brush guard of %{needed} ms: ignored.",
      bounce: "Came %{since} ms after the one before; the bounce guard is %{needed} ms: ignored.",
      beyond: "One press more than this button counts: ignored.",
      stray: "An edge that fits nothing heard before: ignored.",
      not_long: "Let go before %{long} ms: not a long-press.",
      let_go: "Let go before %{long} ms: a %{gesture}.",
      long_reached: "Still down at %{long} ms: a %{gesture}.",
      top_reached: "The %{count} press makes it a %{gesture}; nothing more is counted here, so it acts at once.",
      gap_over_tap: "No second press came within the tap gap: a tap.",
      gap_over_more: "No further press came within the tap gap: a %{gesture}.",
      closed_count: "The mode ended, so nothing more was waited for: a %{gesture}.",
      hold_over: "The other button was let go, and the count was over: a %{gesture}.",
      other_pressed: "Another button was pressed meanwhile: the hold starts.",
      at_once: "The tap acts at once, without waiting for a count.",
      lone_tap: "Nothing else is on this button, so the tap acts as soon as it is pressed.",
      lone_hold: "Only a hold is on this button, so it lasts as long as the button is down.",
      untouched: "Nothing is assigned here: the button does what it does by itself.",
      blocked: "This mode switches off what it says nothing about.",
      rule_kept: "%{place} keeps for a %{gesture} what the button does by itself: %{action}.",
      rule: "%{place} has for a %{gesture} on this button: %{action}.",
      rule_none: "Nothing is assigned to a %{gesture} on this button.",
      mode_held: "Mode %{mode} was on, held.",
      mode_latch: "Mode %{mode} was on for this press.",
      mode_lock: "Mode %{mode} was on until changed.",
      from_base: "It says nothing about this: what holds as usual does.",
      fell_through: "%{place} has nothing for it.",
      switched_off: "%{place} has something for it that is switched off.",
      waited_none: "It did not wait.",
      waited_for: "It waited %{wait} ms (%{what}).",
      waited_parts: "It waited %{wait} ms: %{parts}.",
      pending_long: "At %{long} ms it becomes long.",
      pending_more: "Waiting for a further press.",
      pending_held: "Counting for as long as the other button is held.",
      everywhere: "Everywhere",
      every_app: "every app",
      usual: "usual",
      from_place: "from %{place}",
      from_mode: "as %{mode}",
      in_place: "In %{place}",
      wait_now: "now",
      wait_hold_end: "when the other is let go",
      waited_nothing: "at once",
      wait_release: "+%{ms} ms",
      wait_press: "%{ms} ms after the press",
      wait_long: "at %{ms} ms",
      impossible: "A %{gesture} can't happen: %{reasons}.",
      hardly: "A %{gesture} can hardly happen: %{reasons}.",
      cost_more: "%{gesture} +%{ms} ms",
      cost_less: "%{gesture} −%{ms} ms",
      cost_release: "%{gesture} acts when let go",
      cost_hold_end: "%{gesture} acts when the other is let go",
      cost_no_hold: "%{gesture} no longer waits until the other is let go",
      tap_waits: "The tap comes %{wait}: a second press may still follow.",
      tap_at_once: "The tap comes %{wait}; it also happens before every %{counts}.",
      own_lost: "“%{words}” no longer comes about on this button: %{remedy}.",
      own_lost_to_filter: "“%{words}” no longer comes about on this button: %{filter} and the %{ms} ms of %{host} leave no " \
                          "time for a second " \
                          "click. Set the host's double-click time first, then the guard; or %{remedy}.",
      own_hardly: "“%{words}” can hardly come about on this button: %{filter} and the %{ms} ms of %{host} leave %{room} ms for " \
                  "a second click. " \
                  "Set the host's double-click time first, then the guard; or %{remedy}.",
      own_hold_drops: "“%{words}” ends for good at a drop-out of %{drop} ms on this button: a bounce guard of %{guard} ms " \
                      "takes what is still held " \
                      "for a bounce. Make the gap bridge longer than the drop-outs; or %{remedy}.",
      own_double_tap_hardly: "hardly %{words}",
      own_hold_hardly: "frail %{words}",
      harm_of_want: "So the want “%{what}” says. %{words}",
      with_figure: "%{name} %{ms} ms",
      no_filter: "no filter",
      own_of_button: "%{button}: %{told}",
      own_double_tap_remedy: "give “Double-click as one press” to another one",
      own_hold_remedy: "give “Keep pressed until the next press” or “Pressed as long as held” to another one",
      stays_aside: "%{count} of what was assigned to %{name} stays aside: its place or mode is gone, something else is there, " \
                   "or it follows another.",
      own_aside: "%{button} follows again: what it had of its own (%{count}) stays aside.",
      not_settable: "%{setting} can't be %{value} on %{device}; the nearest that can be set is %{nearest}",
      app_gone_from: "%{where}: switched off. %{app} is not on %{host} any more.",
      moved_to_nearest: "%{setting} %{value} can't be set on %{device}: it is %{nearest}, the nearest that can."
    }.freeze

    ALL = [EN, CHANGES, FAULTS, WHERE,
           TUNING].inject { |all, more| all.merge(more) { |key| raise "two sentences are called #{key}" } }.freeze

    # key – of ALL; returns the sentence.
    def self.say(key, **parts) = format(ALL.fetch(key), **parts)

    # A Press::Waits::Wait as it stands on a chip; timing – the button's.
    def self.wait(wait, timing)
      return say(:wait_long, ms: ms(timing.long_press_us + wait.us)) if wait.after == "long_press"
      return say(:wait_hold_end) if wait.after == "hold_end"
      return say(:wait_now) if wait.us.zero?

      say(wait.after == "release" ? :wait_release : :wait_press, ms: ms(wait.us))
    end

    # The same in a sentence of its own: "at once", where nothing is waited for.
    def self.comes(wait, timing) = wait.after != "hold_end" && wait.us.zero? && wait.after != "long_press" ? say(:waited_nothing) : wait(wait, timing)

    # What waiting, and acting at once, mean for a tap: a Press::Lane::TapChoice; timing – the button's.
    def self.tap_waits(choice, timing) = say(:tap_waits, wait: wait(choice.waits, timing))

    def self.tap_at_once(choice, timing)
      say(:tap_at_once, wait: wait(choice.at_once, timing),
                        counts: choice.counts.map { |gesture| GESTURES.fetch(gesture) }.join(" and "))
    end

    # A gesture, or what is done to a button that passes its clicks on, as it is said: "double-click".
    def self.gesture(name) = GESTURES.fetch(name, name.tr("_", "-"))

    # A setting's name as it is said: "Tap gap".
    def self.setting(name) = name.delete_suffix("_ms").tr("_", " ").sub("long press", "long-press").capitalize

    # A setting's value with its unit.
    def self.value(name, value) = name.end_with?("_ms") ? "#{value} ms" : value.to_s

    # A button with the device it is on; the only button of a device is called as the device is.
    def self.button(device, button)
      name = device.name || device.id
      device.buttons.one? ? name : "#{name}, #{button.name || button.id}"
    end

    # What can be set of a setting on a device, from its kind's data: "0 to 500 ms, in steps of 10".
    def self.settable(name, allowed)
      return say(:anything) if allowed.nil?

      unit = name.end_with?("_ms") ? " ms" : ""
      return "fixed at #{allowed["fixed"]}#{unit}" if allowed.key?("fixed")
      return "#{allowed["values"].join(", ")}#{unit}" if allowed["values"]

      "#{allowed["from"]} to #{allowed["to"]}#{unit}, in steps of #{allowed["step"]}"
    end

    # A Tuning::Drift::Change in a sentence.
    def self.drift(change)
      shown = [change.before, change.after].map do |value|
        if value.nil?
          "–"
        else
          number(change.what == "wrong" ? (value * 100).round(1) : value)
        end
      end
      words = say(:"drift_#{change.what}", before: shown[0], after: shown[1])
      return say(:drift_unknown, words:) if change.p.nil?

      say(change.changed? ? :drift_changed : :drift_same, words:, p: number((change.p * 100).round(1)))
    end

    # A measured number, whole where it is.
    def self.number(value) = value == value.to_i ? value.to_i.to_s : value.to_s

    # What a prompt has given so far; held – [ms…] of each press.
    def self.heard(held)
      return say(:heard_nothing) if held.empty?

      say(held.one? ? :heard_touches_one : :heard_touches_many, count: held.size, last: number(held.last))
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
      name = GESTURES.fetch(gesture)
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
      against = limit.gap_us ? ["tap gap #{ms(limit.gap_us)} ms"] : []
      reasons = limit.reasons
        .map { |name| "#{name.tr("_", " ").sub("long press", "long-press at")} #{ms(figures.fetch(name))} ms" } + against
      say(limit.how.to_sym, gesture: GESTURES.fetch(limit.gesture), reasons: reasons.join(", "))
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
      "#{seconds.to_i == seconds ? seconds.to_i : seconds} s"
    end

    # Microseconds of a setting or a wait as milliseconds: "300", "8.5".
    def self.ms(microseconds)
      tenths = (microseconds / 100.0).round
      (tenths % 10).zero? ? (tenths / 10).to_s : (tenths / 10.0).to_s
    end
  end
end
