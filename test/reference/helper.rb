# frozen_string_literal: true

require "minitest/autorun"
require "json"
require_relative "../../core/lib/kippen"

module Kippen
  # Checks of the engine against things outside the project. Each names its source.
  class ReferenceTest < Minitest::Test
    # A fitting with one button on which the gestures are assigned.
    def fitting(gestures, timing)
      assignments = gestures.map { |gesture| { "button" => "d/b", "gesture" => gesture, "action" => { "kind" => "key" } } }
      Fitting.read("kippen" => "fitting/1", "devices" => [{ "id" => "d", "buttons" => [{ "id" => "b" }] }],
                   "timing" => timing, "assignments" => assignments)
    end

    # rows – [ms, "down" | "up"]; time runs on for ten seconds. Returns Outcomes.
    def replay(fitting, rows)
      events = rows.map { |ms, kind| [(ms * 1000).round, [kind.to_sym, 0, nil]] }
      Press::Replay.run(fitting, [*events, [events.last[0] + 10_000_000, [:end, nil, nil]]])
    end

    def gestures(fitting, rows) = replay(fitting, rows).map(&:gesture)
  end
end
