# frozen_string_literal: true

require_relative "helper"

module Kippen
  # A real X server's filters and modes.
  class XkbTest < ReferenceTest
    # X.Org server 21.1.7 (Debian 12), recorded with XTEST: xkb-recorded.json says how.
    RECORDED = JSON.parse(File.read(File.join(__dir__, "xkb-recorded.json")))["cases"]
    # Two of the cases carry a scheduling delay of the recording machine, of 14 and 37 ms.
    DELAYED = 2
    MOST_MS = 40
    CLOSE_MS = 8

    TIMING = {
      "bounce keys" => ->(delay) { { "bounce_guard_ms" => delay, "bounce_guard_from" => "release" } },
      "slow keys" => ->(delay) { { "brush_guard_ms" => delay } }
    }.freeze

    # What came through: a key that is down as long as it is held.
    def came_through(item)
      timing = TIMING.fetch(item["control"]).call(item["delay_ms"])
      replay(fitting(%w[hold], timing), item["played"]).filter_map do |row|
        [row.at_us / 1000.0, row.phase == "start" ? "down" : "up"] if %w[start end].include?(row.phase)
      end
    end

    def test_every_decision_is_the_x_servers
      assert_equal 40, RECORDED.size
      RECORDED.each_with_index do |item, index|
        assert_equal item["received"].map(&:last), came_through(item).map(&:last), "case #{index}, #{item["control"]}"
      end
    end

    def test_times_are_the_x_servers
      off = RECORDED.map do |item|
        came_through(item).zip(item["received"]).map { |(ours, _), (theirs, _)| (ours - theirs).abs }.max || 0
      end
      assert_operator off.count { |ms| ms > CLOSE_MS }, :<=, DELAYED
      assert_operator off.max, :<, MOST_MS
    end

    # The X Keyboard Extension: Protocol Specification 1.0, "Key Actions" (x11proto-dev 2022.1): a
    # latch lasts for the next key; with latch-to-lock a second one locks; a third unlocks. Set
    # holds while the key is down, and leads over latch, which leads over lock.
    def test_latch_lock_and_set_follow_the_extensions_order
      modes = %w[one two three].map { |id| { "id" => id } }
      assign = ->(button, gesture, action,
                  mode = "base") { { "button" => "d/#{button}", "gesture" => gesture, "mode" => mode, "action" => action } }
      mode = ->(id, how) { { "kind" => "mode", "mode" => id, "how" => how } }
      latches = %w[base one].map { |in_mode| assign.call("latch", "tap", mode.call("one", "latch"), in_mode) }
      read = Fitting.read("kippen" => "fitting/1", "modes" => modes,
                          "devices" => [{ "id" => "d", "buttons" => %w[latch lock set key].map { |id| { "id" => id } } }],
                          "assignments" => [*latches, assign.call("lock", "tap", mode.call("two", "lock")),
                                            assign.call("set", "hold", mode.call("three", "held")),
                                            assign.call("key", "tap", { "kind" => "key" })])
      press = { "latch" => 0, "lock" => 1, "set" => 2, "key" => 3 }
      story = lambda do |*names|
        time = 0
        events = names.flat_map do |name|
          edges = { "+" => [:down], "-" => [:up] }.fetch(name[0], %i[down up])
          edges.map { |edge| [time += 100_000, [edge, press.fetch(name.delete("+-")), nil]] }
        end
        Press::Replay.run(read, events).select { |row| row.button == "d/key" }.map(&:mode)
      end

      assert_equal %w[one base], story.call("latch", "key", "key")
      assert_equal %w[one one], story.call("latch", "latch", "key", "key")
      assert_equal %w[base], story.call("latch", "latch", "latch", "key")
      assert_equal %w[three base], story.call("+set", "key", "-set", "key")
      assert_equal %w[three one two], story.call("lock", "+set", "latch", "key", "-set", "key", "key")
    end
  end
end
