# frozen_string_literal: true

module Kippen
  # Real key events with stamps of their own, to the tenth of a millisecond, whatever the load of the machine: a press is
  # made in a moment, however long it says that it lasted.
  module Pressing
    # Windows virtual key codes, which the browser's protocol asks for.
    KEYS = { "F1" => 112, "F2" => 113, "F8" => 119, "F9" => 120, "KeyA" => 65, "KeyE" => 69, "KeyM" => 77, "F13" => 124 }.freeze

    def key(type, code, at)
      browser.execute_cdp("Input.dispatchKeyEvent", type:, code:, key: code, windowsVirtualKeyCode: KEYS.fetch(code),
                                                    timestamp: at)
    end

    # Both ends come at once; then the clock reaches what they say, so that nothing else is stamped before.
    # A little is added, for the browser cuts both stamps to tenths of a millisecond.
    def press_key(code, seconds, at: moment)
      key("keyDown", code, at)
      key("keyUp", code, at + seconds + 0.0003)
      @pressed_to = at + seconds
      sleep [@pressed_to - Time.now.to_f, 0].max
    end

    # When what comes next can be stamped: now, but after what was stamped already, and so long after that.
    def moment(after: 0.02) = [Time.now.to_f, @pressed_to.to_f + after].max

    # Hold one key and press another so often meanwhile, every so many seconds. All of it is stamped a second ahead: it has come
    # before the page tells how late it is.
    def hold_and_press(held, other, times, every: 0.2)
      at = moment(after: 1) + 1
      key("keyDown", held, at)
      times.times do |index|
        key("keyDown", other, at + 0.15 + (index * every))
        key("keyUp", other, at + 0.22 + (index * every))
      end
      @pressed_to = at + 0.3 + (times * every)
      key("keyUp", held, @pressed_to)
    end
  end
end
