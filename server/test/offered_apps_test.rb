# frozen_string_literal: true

require_relative "helper"

module Kippen
  # Apps that were written down for one client are offered to others of the service, without whose they are.
  class OfferedAppsTest < ServerTest
    def setup
      super
      @one = add_client("kippen" => "fitting/1", "client" => { "name" => "Quillonde" })
      @other = add_client("kippen" => "fitting/1", "client" => { "name" => "Else" })
    end

    def write_down(client, app, parent: 1)
      @client = client
      change({ "kind" => "app", "app" => app }, parent:)
      assert_equal 201, status, answer
    end

    def offered(client) = ask("/api/clients/#{client}/offered-apps")["apps"]

    def test_what_is_offered_is_seen_by_others_and_nothing_else
      command = { "name" => "Post it", "keys" => %w[Control KeyP] }
      write_down(@one, { "name" => "Letterbox", "hosts" => ["computer"], "offered" => true, "commands" => [command] })
      write_down(@one, { "name" => "Diary of Quillonde", "commands" => [command] }, parent: 2)
      assert_equal [{ "name" => "Letterbox", "hosts" => ["computer"], "commands" => [command] }], offered(@other)
      refute_includes last_response.body, "Quillonde"
      assert_empty offered(@one)
      write_down(@other, { "name" => "LETTERBOX", "offered" => true, "commands" => [{ "name" => "Fetch it", "keys" => nil }] })
      assert_empty offered(@other), "what one has is not offered"
      third = add_client("kippen" => "fitting/1", "client" => { "name" => "Third" })
      assert_equal([%w[Fetch Post]], offered(third).map { |app| app["commands"].map { |one| one["name"].split.first }.sort })
      write_down(@one, { "id" => "letterbox", "name" => "Letterbox", "offered" => false, "commands" => [command] }, parent: 3)
      assert_equal([["Fetch it"]], offered(third).map { |app| app["commands"].map { |one| one["name"] } })
    end

    def test_another_service_and_whoever_only_looks_see_none
      write_down(@one, { "name" => "Letterbox", "offered" => true })
      sign_in_as("viewer")
      ask("/api/clients/#{@other}/offered-apps")
      assert_includes [403, 404], status
      @service = store.add_service("Withy Bed")
      sign_in_as("specialist")
      assert_empty offered(add_client("kippen" => "fitting/1", "client" => { "name" => "Far" }))
    end
  end
end
