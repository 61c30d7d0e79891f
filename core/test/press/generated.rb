# frozen_string_literal: true

require "prop_check"

module Kippen
  # Fittings and traces made up for property tests. They use everything the rules know:
  # filters, gestures, places, modes of all kinds, two hosts, forces and notches, exact ties.
  module Generated
    G = PropCheck::Generators
    BUTTONS = [["d/a", "contact"], ["d/b", "contact"], ["d/c", "contact"], ["d/grip", "force"], ["d/wheel", "notch"],
               ["e/x", "contact"]].freeze
    DEVICES = [
      { "id" => "d", "host" => "desk",
        "buttons" => BUTTONS.first(5).map { |ref, kind| { "id" => ref.split("/").last, "kind" => kind } } },
      { "id" => "e", "host" => "phone", "buttons" => [{ "id" => "x" }] }
    ].freeze
    MODES = [{ "id" => "one" }, { "id" => "two", "otherwise" => "nothing" }, { "id" => "three", "otherwise" => "builtin" }].freeze
    PLACES = [{ "id" => "app", "app" => "rookery" }, { "id" => "part", "app" => "rookery", "part" => "margin" },
              { "id" => "gone", "app" => "tidebook", "off" => true }].freeze
    WHERE = ["", "rookery", "rookery/margin", "tidebook", "lampwright"].freeze
    ACTIONS = [{ "kind" => "key" }, { "kind" => "builtin" },
               *%w[one two three].flat_map do |mode|
                 %w[latch
                    lock].map { |how| { "kind" => "mode", "mode" => mode, "how" => how } }
               end,
               { "kind" => "mode", "how" => "clear" }].freeze
    HELD = %w[one two].map { |mode| { "kind" => "mode", "mode" => mode, "how" => "held" } }.freeze
    # Few values, so that times meet exactly.
    TIMING = { "gap_bridge_ms" => [0, 0, 20, 50], "bounce_guard_ms" => [0, 0, 50, 100], "brush_guard_ms" => [0, 0, 50, 100],
               "long_press_ms" => [100, 200, 500], "tap_gap_ms" => [50, 100, 300] }.freeze
    FROM = %w[press release].freeze
    COUNTING = %w[by_gap while_held].freeze
    STEPS_MS = [0, 10, 20, 50, 50, 100, 100, 200, 300].freeze

    # Every other fitting has this too: hold one, press another, and something to count there.
    HOLD_ONE = [
      { "button" => "d/a", "gesture" => "hold", "action" => HELD[0], "mode" => "base", "place" => "everywhere" },
      { "button" => "d/a", "gesture" => "tap", "action" => ACTIONS[0], "mode" => "base", "place" => "everywhere" },
      *%w[tap double_tap].map do |gesture|
        { "button" => "d/b", "gesture" => gesture, "action" => ACTIONS[0], "mode" => "one", "place" => "everywhere" }
      end,
      *%w[tap triple_tap].map do |gesture|
        { "button" => "d/c", "gesture" => gesture, "action" => ACTIONS[0], "mode" => "one", "place" => "everywhere" }
      end
    ].freeze

    def self.pick(list) = G.choose(0..(list.size - 1)).map { |index| list[index] }

    def self.assignment
      made = G.tuple(G.choose(0..5), pick(Fitting::GESTURES), pick(ACTIONS), pick(HELD))
      spot = G.tuple(pick(["base", "base", *MODES.map { |m| m["id"] }]), pick(%w[everywhere everywhere app part gone]))
      G.tuple(made, G.boolean, G.choose(0..9), spot)
        .map do |(button, gesture, action, held), takes_held, chance, spot|
        ref, kind = BUTTONS[button]
        gesture = "tap" if kind == "notch"
        mode, place = spot
        item = { "button" => ref, "gesture" => gesture, "action" => takes_held && gesture == "hold" ? held : action,
                 "mode" => mode, "place" => place }
        item["at_once"] = true if gesture == "tap" && chance < 3
        item["repeat"] = { "after_ms" => 50, "every_ms" => 50 } if %w[hold long_press].include?(gesture) && chance.odd?
        item["off"] = true if chance == 8
        item
      end
    end

    def self.fitting
      timing = TIMING.map { |_, values| pick(values) }
      G.tuple(G.boolean, pick(COUNTING), G.array(assignment, max: 12), *timing, pick(FROM), pick(FROM),
              pick(%w[pointer focus])).map do |holds, counting, assignments, *settings|
        assignments = HOLD_ONE + assignments if holds
        bounce_from, gap_from, follow = settings.pop(3)
        timing = TIMING.keys.zip(settings).to_h.merge("bounce_guard_from" => bounce_from, "tap_gap_from" => gap_from)
        once = assignments.uniq { |a| [a["button"], a["mode"], a["place"], a["gesture"] == "hold" ? "long_press" : a["gesture"]] }
        { "kippen" => "fitting/1", "follow" => follow, "hosts" => [{ "id" => "desk" }, { "id" => "phone" }], "devices" => DEVICES,
          "modes" => MODES.map { |mode| mode.merge("counting" => counting) }, "places" => PLACES, "timing" => timing,
          "assignments" => once }
      end
    end

    # Rows [t_us, source, kind, value], mostly of buttons that close and open by turns.
    def self.trace
      G.array(G.tuple(pick(STEPS_MS), G.choose(0..7), G.choose(0..4)), max: 40).map do |steps|
        time = 0
        closed = Hash.new(false)
        steps.map do |step, what, where|
          time += step * 1000
          [time, *event(what, where, closed)]
        end
      end
    end

    def self.event(what, where, closed)
      return [where.odd? ? "desk" : "phone", what == 6 ? "pointer_in" : "focus_in", WHERE[where]] if what > 5

      ref, kind = BUTTONS[what]
      return [ref, "notch", ""] if kind == "notch"

      closed[ref] = !closed[ref] unless where.zero? # now and then a stray
      return [ref, "level", closed[ref] ? "0.9" : "0.1"] if kind == "force"

      [ref, closed[ref] ? "down" : "up", ""]
    end
  end
end
