# frozen_string_literal: true

module Kippen
  module Words
    # What is told of a fit.
    TUNING = {
      or_of: " or of ",
      must_be_settable: "must be a range with from, to and step, values, or one that is fixed, all of them legal",
      must_be_trace: "must be an array of [µs, event] in the order of their times, events %{events}; a level has its value",
      timing_today: "today's",
      timing_usual: "unfitted",
      timing_by_hand: "found by hand",
      timing_fitted: "fitted",
      few_trials: "%{count} of %{gesture}: few to say much of it; the interval says how little.",
      no_timing_saves: "No timing tells this person's %{gesture} well: %{percent} %% right of %{count}. Another gesture or another button would do better.",
      guard_beyond_double_click: "A bounce guard of %{guard} ms is as long as the host's double-click time of %{double} ms: no double-click comes about. " \
                                 "Put it on another button, or make that time longer.",
      none_wrong: "None of %{count} was wrong: at most about %{percent} %% are."
    }.freeze
  end
end
