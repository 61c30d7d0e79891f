# frozen_string_literal: true

require_relative "pointer/steps"

module Kippen
  # Moving the pointer with buttons: how far it has come after how long.
  module Pointer
    # direction => [across, down] of one step; slanted ones go as far both ways
    DIRECTIONS = { "up" => [0, -1], "right" => [1, 0], "down" => [0, 1], "left" => [-1, 0],
                   "up-right" => [1, -1], "down-right" => [1, 1], "down-left" => [-1, 1], "up-left" => [-1, -1] }.freeze
    # What “While held” means: at the end so many deltas a step, reached over so many steps. Invented.
    FASTER = { "no" => { most: 1, over: 1 }, "slowly" => { most: 4, over: 40 }, "quickly" => { most: 8, over: 20 } }.freeze

    # From seeing that it is there to having let go, ms, where nobody has measured it: one key stroke of the
    # keystroke-level model (Card, Moran, Newell 1980): from memory.
    USUAL_LATE_MS = 200

    module_function

    # The Steps of a move action with all its values. repeat – Fitting::Repeat or nil; begins_us – from the
    # start of the press until the first step
    def steps(action, repeat: nil, begins_us: 0)
      more = repeat ? { after_ms: repeat.after_us / 1000.0, every_ms: repeat.every_us / 1000.0 } : {}
      Steps.new(delta_px: action.fetch("step_px"), begins_ms: begins_us / 1000.0, **FASTER.fetch(action.fetch("faster", "no")),
                **more)
    end
  end
end
