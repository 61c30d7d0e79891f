# frozen_string_literal: true

require_relative "helper"

module Kippen
  # Kinds of device that a service keeps: edition by edition, for all its clients, unseen by any other service.
  class ServiceKindsTest < ServerTest
    PAD = JSON.parse(File.read(File.join(Server::DATA, "kinds", "touchpad.json")))
      .merge("id" => "reed-pad", "name" => "Reed pad").freeze
    DESK = { "kippen" => "fitting/1", "client" => { "name" => "Somebody" },
             "hosts" => [{ "id" => "desk", "name" => "Desk", "system" => "computer" }] }.freeze

    def setup
      super
      add_client(DESK)
    end

    def keep(document = PAD, opened_on = nil)
      send_json(:post, "/api/service/kinds", { "document" => document, "opened_on" => opened_on })
    end

    def kept = ask("/api/service/kinds")["kinds"]
    def editions(id = "reed-pad") = ask("/api/service/kinds/#{id}/editions")["editions"]

    def put_back(edition, opened_on)
      send_json(:post, "/api/service/kinds/reed-pad/editions", "edition" => edition, "opened_on" => opened_on)
    end

    def take_away(opened_on, id = "reed-pad") = send_json(:delete, "/api/service/kinds/#{id}?opened_on=#{opened_on}", {})
    def file(at = "reed-pad") = ask("/api/service/kinds/#{at}")

    def test_a_kind_is_kept_changed_and_put_back
      assert_equal ["reed-pad", 1], keep.values_at("id", "edition")
      assert_equal [201, 2], [keep(PAD.merge("name" => "Reed pad, new"), 1)["edition"], status].reverse
      assert_equal([["Reed pad, new", 2, 0, "A specialist"]],
                   kept.map { |one| [one["name"], one["edition"], one["used"], one["said"]["by"]] })
      assert_equal [PAD.merge("edition" => 1), "Reed pad, new"], [file("reed-pad?edition=1"), file["name"]]
      assert_equal 3, put_back(1, 2)["edition"]
      assert_equal "Reed pad", file["name"]
      assert_equal([3, 2, 1], editions.map { |one| one["edition"] })
    end

    # Whoever comes second gets to know by whom, and nothing of either is lost.
    def test_two_people_at_one_kind
      keep
      keep(PAD.merge("name" => "Theirs"), 1)
      mine = keep(PAD.merge("name" => "Mine"), 1)
      assert_equal [409, 2, "A specialist"], [status, mine["edition"]["edition"], mine["edition"]["said"]["by"]]
      assert_equal "Theirs", file["name"]
      keep(PAD.merge("name" => "Mine"), 2)
      assert_equal "Mine", file["name"]
      take_away(2)
      assert_equal 409, status
      put_back(1, 2)
      assert_equal 409, status
    end

    def test_one_whose_id_is_taken_gets_its_own
      keep
      assert_equal "reed-pad-2", keep["id"]
      assert_equal "touchpad-2", keep(PAD.merge("id" => "touchpad", "name" => "Touchpad"))["id"]
    end

    def test_a_client_uses_it_and_takes_up_a_newer_one
      keep
      change({ "kind" => "add_devices", "kinds" => [file], "devices" => [{ "of" => "reed-pad" }] })
      assert_equal 201, status, answer
      assert_equal([1], kept.map { |one| one["used"] })
      take_away(1)
      assert_equal 422, status, "in use it stays"
      keep(PAD.merge("buttons" => PAD["buttons"].reject { |one| one["id"] == "three" }), 1)
      assert_equal 5, devices["devices"][0]["buttons"].size, "a newer one changes nobody"
      change({ "kind" => "take_up_kind", "document" => file }, parent: 2)
      assert_equal [201, 4, 2], [status, devices["devices"][0]["buttons"].size, devices["kinds"][0]["edition"]]
      change({ "kind" => "take_out", "id" => "reed-pad" }, parent: 3)
      assert_equal([0], kept.map { |one| one["used"] })
      assert take_away(2)["gone"]
      assert_empty kept
      assert_equal [404, true], [file && status, editions.first["gone"]]
      put_back(2, 3)
      assert_equal(["Reed pad"], kept.map { |one| one["name"] })
    end

    def devices = ask("/api/clients/#{@client}/devices")

    def test_who_may_and_who_sees
      keep
      sign_in_as("viewer")
      [-> { kept }, -> { file }, -> { editions }, -> { keep }, -> { put_back(1, 1) }, -> { take_away(1) }].each do |asked|
        asked.call
        assert_equal 403, status
      end
      @service = store.add_service("Withy Bed")
      sign_in_as("specialist")
      assert_empty kept
      [-> { file }, -> { editions }, -> { put_back(1, 1) }, -> { take_away(1) }, -> { keep(PAD, 1) }].each do |asked|
        asked.call
        assert_equal 404, status
      end
    end

    def test_what_is_wrong_is_refused_where_it_stands
      keep(PAD.merge("hosts" => {}))
      assert_equal [422, ["/document/hosts"]], [status, answer["faults"].map { |fault| fault["where"] }]
      keep(PAD.merge("ready" => Array
        .new(40) { |at| PAD["ready"][0].merge("id" => "s#{at}", "how" => "x" * 500, "see" => "x" * 500) }, "words" => "y" * 500))
      assert_includes [201, 422], status
      [nil, 7, [], { "kippen" => "kind/1" }, PAD.merge("kippen" => "kind/2")].each do |odd|
        keep(odd)
        assert_includes [400, 422], status, odd.inspect[0, 60]
      end
      ["..%2Fetc", "x" * 65, "%00", "a'b"].each do |id|
        file(id)
        assert_includes [400, 404], status, id
      end
    end

    # Who said so is whoever kept it here, and another service's clients are no matter of this one.
    def test_who_brought_it_elsewhere_does_not_come_along_and_others_do_not_use_it
      keep(PAD.merge("by" => "Somebody Else", "at" => "2020-01-01"))
      assert_equal PAD.merge("edition" => 1), file
      own = [@service, @client]
      @service = store.add_service("Withy Bed")
      sign_in_as("specialist")
      add_client(DESK)
      change({ "kind" => "add_devices", "kinds" => [PAD], "devices" => [{ "of" => "reed-pad" }] })
      assert_equal 201, status
      @service, @client = own
      sign_in_as("specialist")
      assert_equal([0], kept.map { |one| one["used"] })
      assert take_away(1)["gone"]
    end

    # What one begins with can be kept as it is.
    def test_a_blank_one_is_right_by_itself
      blank = ask("/api/service/kinds")["blank"]
      assert_equal [201, "new-kind"], [keep(blank) && status, answer["id"]]
    end

    # Old editions go before there are too many of them, the newest never.
    def test_editions_are_kept_within_bounds
      kinds = Server::Store::KeptKinds.new(DATABASE, Server::Store::Accounts.new(DATABASE)
                                             .open(DATABASE[:accounts].where(service_id: @service).get(:id)))
      60.times { |at| kinds.save(PAD.merge("name" => "Pad #{at}"), at.zero? ? nil : at) }
      numbers = kinds.editions("reed-pad").map { |row| row[:edition] }
      assert_equal [60, 50, 11], [numbers.first, numbers.size, numbers.last]
    end
  end
end
