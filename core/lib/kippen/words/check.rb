# frozen_string_literal: true

module Kippen
  module Words
    # What is found in a fitting before it hurts, and what would mend it.
    CHECK = {
      check_no_click: "Nothing makes a primary click at %{host}.",
      check_no_choosing: "At %{host} nothing chooses what is marked any more.",
      check_no_help: "No button asks for help, on no host.",
      check_want_undone: "No button does the want “%{what}” where it is wanted.",
      check_want_without_action: "Nobody said yet which action the want “%{what}” is.",
      check_claimed: "%{button}, %{gesture}: “%{action}” is there, and %{by} takes it too. To free it: %{free_by}.",
      check_way_around: "%{button} is needed to get around, and “%{builtin}” is done by nothing else there.",
      check_late: "%{button}: %{waits}. More than %{bears} ms is more than this client bears.",
      check_waits: "%{gesture} waits %{ms} ms",
      check_list_too_long: { by: :most, one: "“%{name}” has %{count} lines, and %{host} shows %{most}.",
                             other: "“%{name}” has %{count} lines, and %{host} shows %{most}." },
      check_not_settable: "%{button}: %{setting} is %{value}, and %{device} can't be set to it; the nearest is %{nearest}.",
      check_not_ready: { one: "%{device} is not ready: one step is open: %{steps}.",
                         other: "%{device} is not ready: %{count} steps are open: %{steps}." },
      fix_put_on: "Put “%{action}” on the %{gesture} of %{button}",
      fix_take_off: "Take “%{action}” off",
      fix_setting_off: "%{setting} off, for %{button}",
      fix_at_once: "The tap of %{button} acts at once",
      fix_shorten: { one: "Take the last line out of %{name}", other: "Take the last %{count} lines out of %{name}" },
      fix_set_to: "%{setting} of %{button}: %{value}"
    }.freeze
  end
end
