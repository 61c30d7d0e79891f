# frozen_string_literal: true

require_relative "handed_over"

module Kippen
  # After a restore what is on a device may be newer than the record: nobody knows it until the device was asked.
  class NotAskedTest < ServerTest
    include HandedOver

    def test_since_a_restore_nobody_knows_until_it_was_asked
      assign("long_press", ANSWER)
      onto
      DATABASE[:carriers].update(unasked: true)
      assert_equal "unknown", has["state"]
      reach(false)
      question
      assert_equal [409, "unknown"], [status, has["state"]]
      reach(true)
      question
      assert_equal [200, "on_it"], [status, has["state"]]
      DATABASE[:carriers].update(unasked: true)
      hand_over("empty")
      work
      assert_equal "differs", has["state"], "whoever speaks to it has asked"
      question(device: "nowhere")
      assert_equal 404, status
    end

    def question(device: PHONE) = send_json(:post, "/api/clients/#{@client}/handovers/question", "device" => device)
  end
end
