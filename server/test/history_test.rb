# frozen_string_literal: true

require_relative "helper"

module Kippen
  # Undo, redo, any revision brought back, and what differs; all as new revisions.
  class HistoryTest < ServerTest
    def setup
      super
      add_client
      @shown = 1
    end

    def made(gesture, action)
      assign(gesture, action, parent: @shown)
      assert_equal 201, status, last_response.body
      @shown += 1
    end

    # revision – of what is shown to be possible, where none is named
    def step(name, revision: steps[%w[undo redo].index(name)] || 1)
      send_json(:post, "/api/clients/#{@client}/steps", "step" => name, "revision" => revision)
      @shown += 1 if status == 201
      answer
    end

    # What is on the edge key: gesture → action kind.
    def on_edge = ask("/api/clients/#{@client}/fitting")["assignments"].to_h { |item| [item["gesture"], item["action"]["kind"]] }

    def steps = ask("/api/clients/#{@client}/revisions").values_at("undo", "redo")

    def test_changes_are_taken_back_one_by_one_and_made_again
      made("double_tap", MARK)
      made("long_press", ANSWER)
      both = on_edge
      step("undo")
      one = on_edge
      step("undo")
      assert_equal [{}, [nil, 2]], [on_edge, steps]
      step("undo")
      assert_problem 409
      step("redo")
      assert_equal one, on_edge
      step("redo")
      assert_equal both, on_edge
      assert_equal [3, nil], steps
      step("redo")
      assert_problem 409
      step("undo")
      assert_equal one, on_edge, "what was made again can be taken back again"
    end

    def test_a_new_change_ends_what_could_be_made_again
      made("double_tap", MARK)
      step("undo")
      made("long_press", ANSWER)
      assert_equal [4, nil], steps
      step("undo")
      assert_equal [{}, [nil, 4]], [on_edge, steps]
    end

    def test_any_revision_comes_back_as_a_new_one_that_can_be_undone
      made("double_tap", MARK)
      two = on_edge
      made("long_press", ANSWER)
      three = on_edge
      step("restore", revision: 2)
      assert_equal two, on_edge
      rows = ask("/api/clients/#{@client}/revisions")["revisions"]
      assert_equal [4, "restore", "Revision 2 brought back"], rows.first.values_at("number", "how", "note")
      step("undo")
      assert_equal three, on_edge
      step("restore", revision: 99)
      assert_problem 404
    end

    def test_an_undo_of_what_is_not_the_last_any_more_is_a_conflict_and_nothing_is_lost
      made("double_tap", MARK)
      made("long_press", ANSWER)
      step("undo", revision: 2)
      assert_problem 409
      assert_equal 3, answer["newest"]["number"]
      refute_empty on_edge
    end

    def test_what_differs_in_words
      made("double_tap", MARK)
      change({ "kind" => "timing", "button" => EDGE, "setting" => "long_press_ms", "value" => 900 }, parent: 2)
      words = ask("/api/clients/#{@client}/differences", "from" => 1, "to" => 3)["words"]
      assert_equal ["Pocket phone, Edge key, double-tap: Mark the packet.", "Pocket phone, Edge key, tap: Wake the screen.",
                    "Pocket phone, Edge key, long-press: as for all → 900 ms."], words
      assert_equal ["Pocket phone, Edge key, double-tap: no longer Mark the packet.",
                    "Pocket phone, Edge key, long-press: 900 ms → as for all."],
                   ask("/api/clients/#{@client}/differences", "from" => 3, "to" => 1)["words"]
      assert_empty ask("/api/clients/#{@client}/differences", "from" => 2, "to" => 2)["words"]
    end
  end
end
