# frozen_string_literal: true

require_relative "helper"

module Kippen
  # Where an action could go, and which actions are meant by what somebody says.
  class FreePlacesRouteTest < ServerTest
    def setup
      super
      add_client
    end

    def free(**query) = ask("/api/clients/#{@client}/free", query.transform_keys(&:to_s))

    def test_the_places_for_an_action_and_for_a_want
      places = free(action: "volume-up")["places"]
      assert_includes places.map { |one| one.values_at("button", "gesture") }, [EDGE, "long_press"]
      change({ "kind" => "want", "want" => { "what" => "Louder", "action" => { "kind" => "volume", "direction" => "up" } } })
      want = ask("/api/clients/#{@client}/wants")["wants"].last["id"]
      assert_equal [places, "Louder"], free(want:).values_at("places", "name")
    end

    def test_what_is_not_there
      free
      assert_problem(400)
      [{ want: "gone" }, { action: "gone" }, { action: "app-open/../.." }].each do |query|
        free(**query)
        assert_problem(404)
      end
      free(action: "volume-up", place: "gone")
      assert_problem(404)
    end

    def test_actions_are_found_by_what_people_say
      found = ->(words) { ask("/api/clients/#{@client}/actions/found", "words" => words)["ids"] }
      assert_equal "volume-up", found["make it LOUDER, please"].first
      assert_empty found["qqqqq"]
    end
  end
end
