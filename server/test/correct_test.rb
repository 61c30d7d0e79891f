# frozen_string_literal: true

require_relative "helper"

module Kippen
  # What is known of one button of a client's device is put right over the contract.
  class CorrectTest < ServerTest
    SET = { "gestures" => %w[tap], "builtin" => { "tap" => "Opens the camera" } }.freeze

    def setup
      super
      add_client
      assign("long_press", ANSWER)
      @revision = 2
    end

    def correct(set)
      change({ "kind" => "correct", "button" => EDGE, "set" => set }, parent: @revision)
      @revision += 1 if status == 201
      status
    end

    def facts = ask("/api/clients/#{@client}/devices")["devices"][0]["buttons"].find { |button| button["ref"] == EDGE }

    def test_it_is_shown_before_it_is_saved
      body = { "change" => { "kind" => "correct", "button" => EDGE, "set" => SET }, "opened_on" => @revision }
      shown = send_json(:post, "/api/clients/#{@client}/previews", body)
      assert_match(/long-press: switched off, and kept/, shown["left_out"].join)
      assert_nil facts["corrected"], "nothing is saved"
    end

    def test_who_said_so_and_the_way_back
      assert_equal 201, correct(SET), answer
      assert_equal [["Opens the camera"], %w[tap], "A specialist"],
                   [facts["builtin"].map { |one| one["words"] }, facts["gestures"], facts["corrected"]["by"]]
      assert_equal 201, correct(nil)
      assert_nil facts["corrected"]
    end

    def test_a_claim_that_was_freed_keeps_who_freed_it
      claim = { "gesture" => "tap", "by" => "the torch", "free_by" => "Settings, torch" }
      correct("claims" => [claim.merge("freed" => true)])
      freed = facts["claims"][0]["freed"]
      assert_equal "A specialist", freed["by"]
      correct("claims" => [claim.merge("freed" => freed), claim.merge("gesture" => "hold")])
      assert_equal([freed, nil], facts["claims"].map { |one| one["freed"] })
    end

    def test_what_is_said_wrong_is_refused_and_nothing_saved
      [{ "is" => "fixed" }, { "claims" => [{ "gesture" => "wave", "by" => "x", "free_by" => "y" }] }, {}, { "colour" => "red" },
       { "gestures" => [] },
       { "builtin" => { "tap" => " " } }, { "why" => "x" * 121 }, 7].each do |wrong|
        assert_includes [400, 422], correct(wrong), wrong.inspect
      end
      assert_nil facts["corrected"]
    end

    def test_a_viewer_changes_nothing
      sign_in_as("viewer")
      assert_includes [403, 404], correct(SET)
    end
  end
end
