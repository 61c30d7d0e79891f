# frozen_string_literal: true

require_relative "helper"
require "json_schemer"

module Kippen
  # Kinds of device that no list has, over the contract: read, used, given away, refused.
  class OwnKindsTest < ServerTest
    PAD = JSON.parse(File.read(File.join(Server::DATA, "kinds", "touchpad.json")))
      .merge("id" => "reed-pad", "name" => "Reed pad").freeze

    def setup
      super
      add_client("kippen" => "fitting/1", "client" => { "name" => "Somebody" },
                 "hosts" => [{ "id" => "desk", "name" => "Desk", "system" => "computer" }])
      @revision = 1
    end

    def made(change)
      change(change, parent: @revision)
      @revision += 1 if status == 201
      status
    end

    def own = ask("/api/clients/#{@client}/devices")["kinds"]

    def test_a_kind_is_read_used_and_given_away
      assert_equal 201, made("kind" => "kind", "document" => PAD), answer
      assert_equal([["reed-pad", "A specialist", false]], own.map { |kind| [kind["id"], kind["said"]["by"], kind["used"]] })
      assert_equal 201, made("kind" => "add_devices", "devices" => [{ "of" => "reed-pad" }])
      device = ask("/api/clients/#{@client}/devices")["devices"][0]
      assert_equal ["Reed pad", 5, true], [device["kind_name"], device["buttons"].size, own[0]["used"]]
      assert_equal 422, made("kind" => "remove_kind", "id" => "reed-pad")
      file = ask("/api/clients/#{@client}/kinds/reed-pad")
      assert_match(/filename="reed-pad.kind.json"/, last_response.headers["content-disposition"])
      assert_equal PAD, file.except("by", "at")
      # … to another service.
      @service = store.add_service("Withy Bed")
      sign_in_as("specialist")
      add_client("kippen" => "fitting/1", "client" => { "name" => "Else" },
                 "hosts" => [{ "id" => "desk", "system" => "computer" }])
      @revision = 1
      assert_equal 201, made("kind" => "kind", "document" => file)
      assert_equal 201, made("kind" => "add_device", "of" => "reed-pad", "host" => "desk")
    end

    # Two at once, both from the same revision: whichever comes second is refused, and no device is left without its kind.
    def test_one_takes_it_out_while_another_uses_it
      take_out = { "kind" => "remove_kind", "id" => "reed-pad" }
      use = { "kind" => "add_devices", "devices" => [{ "of" => "reed-pad" }] }
      [[take_out, use], [use, take_out]].each do |first, second|
        setup
        made("kind" => "kind", "document" => PAD)
        change(first, parent: @revision)
        assert_equal 201, status, answer
        change(second, parent: @revision)
        assert_includes [409, 422], status, answer
        devices = ask("/api/clients/#{@client}/devices")
        assert_equal devices["devices"].map { |one| one["kind"] }.sort,
                     devices["kinds"].select { |one| one["used"] }.map { |one| one["id"] }.sort
      end
    end

    def test_another_service_sees_none_of_it
      made("kind" => "kind", "document" => PAD)
      @service = store.add_service("Withy Bed")
      sign_in_as("specialist")
      ask("/api/clients/#{@client}/kinds/reed-pad")
      assert_equal 404, status
    end

    def test_what_ships_is_a_file_too
      assert_equal JSON.parse(File.read(File.join(Server::DATA, "kinds", "grip.json"))), ask("/api/kinds/grip")
      ["nothing", "..%2F..%2Fetc", "grip.json", "x" * 65].each do |id|
        ask("/api/kinds/#{id}")
        assert_includes [400, 404], status, id
      end
    end

    def test_what_is_wrong_in_it_is_told_where_it_stands
      assert_equal 422, made("kind" => "kind", "document" => PAD.merge("hosts" => { "computer" => {} }))
      assert_includes answer["faults"].map { |fault| fault["where"] }, "/change/document/hosts/computer/gestures"
      [PAD.except("name"), PAD.merge("kippen" => "kind/2"), { "kippen" => "kind/1", "id" => "a", "name" => "A" }, [],
       7].each do |wrong|
        assert_includes [400, 422], made("kind" => "kind", "document" => wrong), wrong.inspect[0, 80]
      end
      assert_empty own
    end

    # What the published schema refuses is refused, whatever is odd in it.
    def test_the_schema_and_the_core_agree
      schema = JSONSchemer.schema(JSON.parse(File.read(File.join(Server::ROOT, "docs", "device-kind.schema.json"))))
      odd = [-1, "", "x" * 600, [], [7], {}, "tap", true]
      random = Random.new(29)
      500.times do
        data = JSON.parse(JSON.generate(PAD))
        holder = [data, data["buttons"][0], data["hosts"]["computer"], data["ready"][0]].sample(random:)
        holder[holder.keys.sample(random:)] = odd.sample(random:)
        next if schema.valid?(data)

        assert_raises(Invalid, data.inspect) { Changes::PutKind.check(data) }
      end
    end
  end
end
