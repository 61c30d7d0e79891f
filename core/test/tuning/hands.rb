# frozen_string_literal: true

require_relative "../helper"

module Kippen
  # Trials of stand-in hands; their figures are invented.
  module Hands
    STEADY = { "press_ms" => { "median" => 140, "spread" => 0.2 }, "long_ms" => { "median" => 900, "spread" => 0.2 },
               "apart_ms" => { "median" => 170, "spread" => 0.2 } }.freeze
    TREMOR = { "press_ms" => { "median" => 170, "spread" => 0.35 }, "long_ms" => { "median" => 950, "spread" => 0.25 },
               "apart_ms" => { "median" => 240, "spread" => 0.3 },
               "restrike" => { "chance" => 0.45, "after_ms" => { "median" => 85, "spread" => 0.25 },
                               "length_ms" => { "median" => 45,
                                                "spread" => 0.3 } },
               "brush" => { "chance" => 0.5, "length_ms" => { "median" => 40, "spread" => 0.4 } } }.freeze
    SLOW = { "press_ms" => { "median" => 620, "spread" => 0.16 }, "long_ms" => { "median" => 1500, "spread" => 0.12 },
             "apart_ms" => { "median" => 260, "spread" => 0.2 } }.freeze
    # A worn switch: one click comes twice.
    WORN = { "press_ms" => { "median" => 110, "spread" => 0.25 }, "long_ms" => { "median" => 1400, "spread" => 0.2 },
             "apart_ms" => { "median" => 150, "spread" => 0.15 },
             "restrike" => { "chance" => 0.4, "after_ms" => { "median" => 14, "spread" => 0.3 },
                             "length_ms" => { "median" => 10, "spread" => 0.3 } } }.freeze
    SCRIPT = { "click" => "tap", "double_click" => "double_tap", "drag" => "long_press" }.freeze

    # The JSON object of a trials/1 file. count – altogether, each sort in turn
    def trials(hand, count, seed, offered: %w[tap double_tap long_press], **more)
      standing = Standins::Hand.new(hand, seed)
      asked = [*offered, "rest"]
      list = Array.new(count) { |index| trial(standing, asked[index % asked.size]) }
      { "kippen" => "trials/1", "button" => { "id" => "remote/ok" }, "offered" => offered,
        "trials" => list }.merge(more.transform_keys(&:to_s))
    end

    def trial(hand, intended)
      events = hand.play("contact", [SCRIPT.fetch(intended, intended)]).reject { |event| event.kind == "told" }
      { "intended" => intended, "trace" => events.map { |event| [event.time_us, event.kind] } }
    end

    def series(...) = Formats::TrialsJson.read(JSON.generate(trials(...)))

    # The share of trials that come out right under a timing.
    def right(series, timing)
      Tuning::Replays.new(series).scores(series.trials,
                                         timing).count { |score| score.verdict == "right" } / series.trials.size.to_f
    end
  end
end
