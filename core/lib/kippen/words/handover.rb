# frozen_string_literal: true

module Kippen
  module Words
    # How a fitting gets onto a device, and what can't.
    HANDOVER = {
      left_gesture: "%{button}: %{device} knows no %{gesture}, so “%{action}” is not done by it.",
      left_room: "%{device} has no room for “%{action}” on the %{gesture} of %{button}: it is not done by it.",
      left_mode: "%{device} has no room for one more mode: “%{name}” is not there, nor what is assigned in it.",
      left_place: "%{device} has no room for one more place: what is assigned in “%{name}” is not done there.",
      left_shortlist: "%{device} has no room for one more shortlist: “%{name}” can't be opened.",
      left_unknown: "Of that button no presses are known.",
      left_presses: { one: "Of the one press that is known, %{changed} would come out otherwise.",
                      other: "Of %{count} presses, %{changed} would come out otherwise." },
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
