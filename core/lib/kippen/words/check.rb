# frozen_string_literal: true

module Kippen
  module Words
    # What is found in a fitting before it hurts, and what would mend it.
    CHECK = {
      check_no_click: "Nothing makes a primary click at %{host}.",
      check_no_choosing: "At %{host} nothing chooses what is marked any more.",
      check_no_help: "No button asks for help, on no host.",
      check_help_unreliable: "The best way to ask for help, the %{gesture} of %{button}: %{right} of %{of} came out as meant " \
                             "(%{low} to %{high} %%).",
      check_help_unknown: "Nobody knows how surely the %{gesture} of %{button} asks for help: too few presses were asked for.",
      check_dangerous_seen: { one: "“%{action}” is on the %{gesture} of %{button}, which came once in %{of} when something " \
                                   "else was meant.",
                              other: "“%{action}” is on the %{gesture} of %{button}, which came %{count} times in %{of} when " \
                                     "something else was meant." },
      check_dangerous_unknown: "“%{action}” is on the %{gesture} of %{button}: whether that comes by mistake, %{of} presses " \
                               "can't tell.",
      check_guard_never_ends: { one: "%{button}: counted from letting go, a tremor kept the bounce guard of %{guard} ms shut " \
                                     "in one press.",
                                other: "%{button}: counted from letting go, a tremor kept the bounce guard of %{guard} ms shut " \
                                       "in %{count} presses." },
      check_want_undone: "No button does the want “%{what}” where it is wanted.",
      check_want_without_action: "Nobody said yet which action the want “%{what}” is.",
      check_claimed: "%{button}, %{gesture}: “%{action}” is there, and %{by} takes it too. To free it: %{free_by}.",
      check_built_in_gone: "“%{builtin}”, which %{button} did by itself, is done by nothing at %{host} any more.",
      check_way_around: "%{button} is needed to get around, and “%{builtin}” is done by nothing else there.",
      check_late: "%{button}: %{waits}. More than %{bears} ms is more than this client bears.",
      check_waits: "%{gesture} waits %{ms} ms",
      check_list_too_long: { by: :most, one: "“%{name}” has %{count} lines, and %{host} shows %{most}.",
                             other: "“%{name}” has %{count} lines, and %{host} shows %{most}." },
      check_not_settable: "%{button}: %{device} can't be set to “%{setting}: %{value}”; the nearest is %{nearest}.",
      check_not_ready: { one: "%{device} is not ready: one step is open: %{steps}.",
                         other: "%{device} is not ready: %{count} steps are open: %{steps}." },
      check_trials_old: "%{button}: the presses of the last day differ from those before. %{changes}.",
      check_name_trials_old: "presses that have changed since they were taken",
      check_name_no_primary_click: "no way left to make a primary click",
      check_name_no_help: "no way to ask for help",
      check_name_help_unreliable: "a call for help that goes wrong too often",
      check_name_dangerous_press: "something dangerous that comes by mistake",
      check_name_guard_never_ends: "a bounce guard that a tremor never lets end",
      check_name_no_way_back: "a mode without a way back",
      check_name_impossible: "a gesture that the timing makes impossible",
      check_name_never: "something that can never come about",
      check_name_want_undone: "a want that nothing does",
      check_name_built_in_gone: "something needed that a device did by itself",
      check_name_claimed: "a gesture that something else takes too",
      check_name_way_around_taken: "a button needed to get around",
      check_name_late: "a wait longer than this client bears",
      check_name_print_differs: "a print that says something else",
      check_name_list_too_long: "a shortlist longer than its host shows",
      check_name_not_settable: "a value that can't be set",
      check_name_not_ready: "a device that is not ready",
      check_name_thin_road: "roads that are too thin",
      check_thin_single: "“%{what}” hangs on one way alone, by %{device}.",
      check_thin_unsure: "The best way to “%{what}”, by %{device}, comes out as meant in %{right} of 100, less than %{least}.",
      check_thin_one_device: "All %{wants} wants that are done need %{device}: without it none is.",
      check_thin_one_part: "Of %{of} presses a day %{presses} are made with one part of the body: %{part}.",
      fix_put_on: "Put “%{action}” on the %{gesture} of %{button}",
      fix_swap: "Let “%{action}” and “%{other}” change places: it comes to the %{gesture} of %{button}",
      fix_take_off: "Take “%{action}” off",
      fix_setting_off: "%{setting} off, for %{button}",
      fix_at_once: "The tap of %{button} acts at once",
      fix_shorten: { one: "Take the last line out of %{name}", other: "Take the last %{count} lines out of %{name}" },
      fix_set_to: "%{setting} of %{button}: %{value}"
    }.freeze
  end
end
