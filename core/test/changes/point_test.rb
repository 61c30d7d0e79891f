# frozen_string_literal: true

require_relative "../kinds_data"

module Kippen
  # The pointer moved by four buttons.
  class PointTest < CoreTest
    include KindsData

    def desk = @desk ||= add(bare, "mouse-five", host: "desk")
    def mouse(button) = "#{desk.devices.first.id}/#{button}"

    def test_a_pad_moves_the_pointer_in_one_go
      pad = add(desk, "direction-pad", host: "desk")
      id = pad.devices.last.id
      directions = %w[up right down left].to_h { |one| [one, "#{id}/#{one}"] }
      more = { step_px: 15, faster: "slowly", repeat: { "after_ms" => 400, "every_ms" => 50 } }
      fitting = made(pad, "point", directions:, clicks: { "left" => mouse("back"), "right" => mouse("forward") }, **more)
      held = fitting.assignments.select { |one| one.gesture == "hold" }
      assert_equal [%w[down left right up], [15], [[400_000, 50_000]]],
                   [held.map { |one| one.action["direction"] }.sort, held.map { |one| one.action["step_px"] }.uniq,
                    held.map { |one| one.repeat.to_a }.uniq]
      # It moves with the press, and goes on while it is held.
      right = fitting.button(directions["right"]).index
      rows = Press::Replay.run(fitting, [[0, [:down, right, nil]], [600_000, [:up, right, nil]], [1_000_000, [:end, nil, nil]]])
      assert_equal([[0, "start"], [400_000, "repeat"], [450_000, "repeat"], [500_000, "repeat"], [550_000, "repeat"],
                    [600_000, "repeat"], [600_000, "end"]],
                   rows.map { |one| [one.at_us, one.phase] })
      assert_equal([["/change/directions", "choose four buttons, one for each direction"]], faults do
        made(pad, "point", directions: directions.except("up"), **more)
      end)
      assert_equal([["/change/directions", "each direction needs a button of its own"]],
                   faults { made(pad, "point", directions: directions.merge("up" => directions["down"]), **more) })
    end
  end
end
