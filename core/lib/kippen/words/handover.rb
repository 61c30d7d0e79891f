# frozen_string_literal: true

module Kippen
  module Words
    # How a fitting gets onto a device, and what can't.
    HANDOVER = {
      left_gesture: "%{button}: %{device} knows no %{gesture}, so “%{action}” is not done by it.",
      left_room: "%{device} has no room for “%{action}” on the %{gesture} of %{button}: it is not done by it.",
      left_action: "%{device} can't do “%{action}”, so the %{gesture} of %{button} does nothing of it.",
      left_way: "%{device} knows no such way into a mode: the %{gesture} of %{button} doesn't do “%{action}”.",
      left_mode: "%{device} has no room for one more mode: “%{name}” is not there, nor what is assigned in it.",
      left_place: "%{device} has no room for one more place: what is assigned in “%{name}” is not done there.",
      left_shortlist: "%{device} has no room for one more shortlist: “%{name}” can't be opened.",
      left_unknown: "Of that button no presses are known.",
      left_presses: { one: "Of the one press that is known, %{changed} would come out otherwise.",
                      other: "Of %{count} presses, %{changed} would come out otherwise." },
      hand_where_computer_keys: "On the computer: its settings for keyboard, mouse or switches, or the helper that does it.",
      hand_where_tablet_keys: "On the tablet: its settings for help in using it, under switches, pens or keys.",
      hand_where_phone_keys: "On the phone: its settings for help in using it, under keys, switches or gestures.",
      hand_where_television_keys: "On the television: its settings for the remote, or for help in using it.",
      hand_where_computer_timing: "On the computer: its settings for help in using it, where times of keys or clicks are.",
      hand_where_tablet_timing: "On the tablet: its settings for help in using it, under touch or switch times.",
      hand_where_phone_timing: "On the phone: its settings for help in using it, under touch or key times.",
      hand_where_television_timing: "On the television: its settings for the remote, under key times.",
      hand_mode: "A mode",
      hand_place: "A place",
      hand_shortlist: "A shortlist",
      hand_see_action: "Do it once. %{effect}",
      hand_see_there: "It stands in the list there.",
      hand_see_long_press_ms: "Hold it a little shorter than %{value}: the long-press does not come. Hold it longer: it does.",
      hand_see_tap_gap_ms: "Two taps closer than %{value} count as a double-tap; further apart they are two taps.",
      hand_see_bounce_guard_ms: "Tap twice, faster than %{value}: it counts once.",
      hand_see_brush_guard_ms: "Touch it shorter than %{value}: nothing happens.",
      hand_see_gap_bridge_ms: "Hold it, let go for less than %{value}, hold on: it counts as one.",
      hand_see_value: "The value is shown there.",
      hand_undo_action: "Take it off there: then it does what it did by itself (%{builtin}).",
      hand_undo_nothing: "Take it off there: then it does nothing.",
      hand_undo_value: "Before changing it, note what it says; set that again.",
      hand_undo_was: "Set it back to %{was}.",
      hand_undo_there: "Take it out of the list there.",
      left_elsewhere: "It is on the %{where} too.",
      way_on: "%{gesture} of %{button}",
      device_differs: "something else is on the device than was seen",
      device_garbled: "what was read back is not what was written",
      device_out_of_reach: "the device can't be reached",
      carrier_older: "the device has seen a newer hand-over",
      carrier_another: "the device is being written something else under this number",
      carrier_part: "there is no such part",
      carrier_nothing: "nothing whole was written",
      carrier_differs: "something else is in force on the device"
    }.freeze
  end
end
