# frozen_string_literal: true

require_relative "helper"

module Kippen
  # Anything at a desk is found by what people say.
  class FoundTest < ServerTest
    def setup
      super
      add_client
    end

    def found(said, client = @client) = ask("/api/clients/#{client}/found", "words" => said)["found"]

    def test_each_says_what_it_is_and_where_it_leads
      undo = found("take my last change back").first
      assert_equal({ "kind" => "do", "id" => "undo", "name" => "Take the last change back", "of" => nil, "note" => nil,
                     "leads" => nil }, undo)
      assert_equal({ "step" => "devices", "devices" => "find" }, found("which button is it").first["leads"])
      assert_equal ["button", EDGE], found("edge key").first.values_at("kind", "id")
    end

    # Of the very fitting as it is saved.
    def test_what_is_new_is_found_at_once
      assert_empty found("evensong")
      change({ "kind" => "button", "button" => EDGE, "set" => { "name" => "Evensong key" } })
      assert_equal ["button", EDGE], found("evensong").first.values_at("kind", "id")
    end

    def test_what_was_saved_is_found_by_what_it_changed_and_by_its_note
      change({ "kind" => "button", "button" => EDGE, "set" => { "name" => "Evensong key" } })
      send_json(:post, "/api/clients/#{@client}/revisions", "opened_on" => 2, "note" => "Before the choir",
                                                            "change" => { "kind" => "note" })
      saved = ->(said) { found(said).select { |one| one["kind"] == "revision" }.map { |one| one.values_at("id", "of") } }
      assert_equal [["2", "A specialist"]], saved["evensong key"]
      assert_equal [["3", "A specialist"]], saved["the choir"]
      assert_empty saved["the choir of angels"]
    end

    def test_nobody_finds_in_another_services_client
      sign_in_as("specialist", service: store.add_service("Elsewhere"))
      ask("/api/clients/#{@client}/found", "words" => "edge")
      assert_problem(404)
    end

    def test_words_have_a_limit
      ask("/api/clients/#{@client}/found", "words" => "a" * 121)
      assert_problem(400)
      assert_empty found("☃ '\"%_\\")
      assert_operator found("key").size, :<=, Server::FoundRoutes::MOST + Server::FoundRoutes::REVISIONS
    end
  end
end
