# frozen_string_literal: true

require_relative "helper"

module Kippen
  # What became of a client's fitting since last time.
  class FollowUpTest < ServerTest
    def setup
      super
      add_client
      assign("long_press", ANSWER)
      @client = yesterdays_work
    end

    # What is saved is never changed: another client, to whom the same was done a day before.
    def yesterdays_work
      other = DATABASE[:clients].returning(:id).insert(service_id: @service, revision: 2).first[:id]
      DATABASE[:revisions].where(client_id: @client).order(:number).all.each do |row|
        DATABASE[:revisions].insert(row.merge(client_id: other, created_at: row[:created_at] - 86_400))
      end
      other
    end

    def follow_up(**given) = ask("/api/clients/#{@client}/follow-up", given.transform_keys(&:to_s))

    def want(what, action) = change({ "kind" => "want", "want" => { "what" => what, "action" => action } }, parent: newest)
    def newest = ask("/api/clients/#{@client}")["revision"]["number"]

    def test_since_the_last_day_with_who_did_what
      assign("double_tap", MARK, parent: 2)
      told = follow_up
      assert_equal [2, 3, [3, 2]], [told["since"], told["revision"], told["days"].map { |one| one["number"] }]
      assert_equal([[3, "A specialist"]], told["changed"].map { |one| one.values_at("number", "by") })
      assert(told["differs"].any? { |words| words.include?("double-tap") }, told["differs"].to_s)
      assert_equal([2, 3], follow_up(since: 1)["changed"].map { |one| one["number"] })
    end

    def test_on_the_first_day_since_the_beginning
      add_client
      assign("long_press", ANSWER)
      assert_equal [1, [2]], [follow_up["since"], follow_up["changed"].map { |one| one["number"] }]
    end

    def test_wants_that_work_now_and_wants_that_do_not
      want("Mark the page", MARK)
      want("Answer", ANSWER)
      want("Call somebody", { "kind" => "help" })
      assign("double_tap", MARK, parent: newest)
      assert_equal([["Mark the page", true, false], ["Answer", true, true], ["Call somebody", false, false]],
                   follow_up(since: 5)["wants"].map { |one| one.values_at("what", "works", "was") })
      assert_nil follow_up(since: 2)["wants"][0]["was"], "it was not wanted then"
    end

    def test_what_was_tried_and_given_up
      assign("double_tap", MARK, parent: 2)
      send_json(:post, "/api/clients/#{@client}/steps", "step" => "undo", "revision" => 3)
      assert_equal 201, status, answer
      told = follow_up["given_up"]
      assert_equal 1, told.size
      assert_match(/\ARevision 3 was taken back\./, told[0]["words"])
    end

    def test_the_next_visit
      change({ "kind" => "next_visit", "day" => "2026-12-10" }, parent: 2)
      assert_equal [201, "2026-12-10"], [status, follow_up["next_visit"]]
      assert_includes follow_up["differs"], "The next visit is on 2026-12-10."
      change({ "kind" => "next_visit", "day" => "2026-02-30" }, parent: 3)
      assert_equal 422, status
      change({ "kind" => "next_visit", "day" => nil }, parent: 3)
      assert_nil follow_up["next_visit"]
    end

    def test_a_revision_that_is_not_there_and_a_client_that_is_not_theirs
      follow_up(since: 900)
      assert_equal 404, status
      sign_in_as("specialist", service: store.add_service("Elsewhere"))
      follow_up
      assert_equal 404, status
    end
  end
end
