# frozen_string_literal: true

require_relative "helper"

module Kippen
  class RevisionsTest < ServerTest
    def setup
      super
      add_client
    end

    def fitting = ask("/api/clients/#{@client}/fitting")

    def test_a_change_becomes_the_next_revision_on_its_parent
      saved = assign("long_press", ANSWER)["revision"]

      assert_equal [2, 1, "A specialist"], saved.values_at("number", "parent", "author")
      assert_equal([["tap", { "kind" => "builtin" }], ["long_press", ANSWER]],
                   fitting["assignments"].map { |item| item.values_at("gesture", "action") })
    end

    def test_members_the_core_does_not_know_survive_a_change
      add_client(DEMO.merge("shelf" => "north"))
      assign("long_press", ANSWER)

      assert_equal DEMO["client"], fitting["client"]
      assert_equal "north", fitting["shelf"]
    end

    def test_what_somebody_changed_of_the_same_is_a_conflict_and_nothing_is_lost
      assign("long_press", ANSWER)
      problem = assign("double_tap", MARK, parent: 1)

      assert_problem 409
      assert_equal [2, 1], problem["newest"].values_at("number", "parent")
      assert_equal [["Pocket phone, Edge key, double-tap: Mark the packet.", "Pocket phone, Edge key, tap: Wake the screen."],
                    ["Pocket phone, Edge key, long-press: Answer the call.", "Pocket phone, Edge key, tap: Wake the screen."]],
                   problem.values_at("mine", "theirs")
      assert_equal(%w[tap long_press], fitting["assignments"].map { |item| item["gesture"] })
    end

    def test_what_a_page_saved_itself_and_what_others_changed_elsewhere_is_no_conflict
      save = lambda do |page, change|
        send_json(:post, "/api/clients/#{@client}/revisions", "opened_on" => 1, "page" => page,
                                                              "change" => { "button" => EDGE }.merge(change))
        status
      end
      assert_equal [201, 201, 201, 409],
                   [save.call("mine", "kind" => "assign", "gesture" => "long_press", "action" => ANSWER),
                    save.call("theirs", "kind" => "timing", "setting" => "long_press_ms", "value" => 700),
                    save.call("mine", "kind" => "assign", "gesture" => "double_tap", "action" => MARK),
                    save.call("mine", "kind" => "timing", "setting" => "long_press_ms", "value" => 900)]
      assert_equal [%w[tap long_press double_tap], { EDGE => { "long_press_ms" => 700 } }],
                   [fitting["assignments"].map { |item| item["gesture"] }, fitting["button_timing"]]
    end

    def test_a_revision_that_does_not_exist_yet_is_refused
      assign("long_press", ANSWER, parent: 7)

      assert_problem 404
      assert_empty fitting["assignments"]
    end

    def test_a_saved_revision_can_not_be_changed_in_the_database
      error = assert_raises(Sequel::DatabaseError) do
        DATABASE.transaction(savepoint: true) { DATABASE[:revisions].where(client_id: @client).update(note: "other") }
      end
      assert_match(/a saved revision is never changed/, error.message)
    end

    def test_what_the_core_refuses_is_told_with_its_place_and_changes_nothing
      change({ "kind" => "timing", "button" => EDGE, "setting" => "long_press_ms", "value" => 99 })
      assert_problem 422, ["/change/value", "is 99, must be 100 to 5000 ms"]

      change({ "kind" => "assign", "button" => "pocket-phone/none", "gesture" => "tap", "action" => ANSWER })
      assert_problem 422, ["/change/button", 'unknown button "pocket-phone/none"']

      change({ "kind" => "clear", "button" => EDGE, "gesture" => "tap" })
      assert_problem 422, ["/assignments", "no tap is assigned to pocket-phone/edge there"]
      assert_equal DEMO, fitting
    end

    def test_a_request_outside_the_contract_is_refused
      change({ "kind" => "explode", "button" => EDGE })
      assert_problem 400

      send_json(:post, "/api/clients/#{@client}/revisions", "{ not json")
      assert_problem 400

      post("/api/clients/#{@client}/revisions", "parent=1", "CONTENT_TYPE" => "text/plain", "HTTP_X_CSRF_TOKEN" => csrf)
      assert_problem 415
    end

    def test_clearing_the_last_added_gesture_leaves_the_button_as_it_came
      assign("long_press", ANSWER)
      change({ "kind" => "clear", "button" => EDGE, "gesture" => "long_press" }, parent: 2)

      assert_equal 201, status
      assert_empty fitting["assignments"]
    end

    def test_a_preview_tells_every_wait_and_saves_nothing
      send_json(:post, "/api/clients/#{@client}/previews",
                "change" => { "kind" => "assign", "button" => EDGE, "gesture" => "double_tap", "action" => MARK })

      assert_equal 200, status
      assert_equal([["tap", "now", "+300 ms"], ["double_tap", nil, "now"]],
                   answer["buttons"].first["waits"].map { |wait| wait.values_at("gesture", "before", "after") })
      assert_equal 1, ask("/api/clients/#{@client}")["revision"]["number"]
    end
  end
end
