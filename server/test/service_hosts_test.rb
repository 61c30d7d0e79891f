# frozen_string_literal: true

require_relative "helper"

module Kippen
  # What a service says of hosts of a sort: kept edition by edition, in the form of the file that ships.
  class ServiceHostsTest < ServerTest
    SAID = { "kippen" => "hosts/1",
             "hosts" => [{ "system" => "television", "shortlist" => { "most" => 7 }, "steps" => { "most" => 3 },
                           "keeps" => [{ "keys" => %w[F9], "why" => "its own guide" }] }] }.freeze

    def keep(document = SAID, opened_on = nil)
      send_json(:post, "/api/service/hosts", { "document" => document, "opened_on" => opened_on })
    end

    def hosts = ask("/api/service/hosts")

    def test_it_is_said_changed_and_told_by_system
      assert_equal [nil, []], hosts.values_at("edition", "by_system")
      keep
      assert_equal [201, 1, "A specialist"], [status, answer["edition"], answer["said"]["by"]]
      assert_equal [{ "system" => "television",
                      "says" => { "lines" => 7, "steps" => 3, "keeps" => SAID["hosts"][0]["keeps"] } }], hosts["by_system"]
      assert_equal({ "lines" => 5, "steps" => 4 }, hosts["usual"].last.slice("lines", "steps"))
      keep
      assert_equal 409, status, "somebody has said it already"
      keep(SAID.merge("hosts" => []), 1)
      assert_equal [2, []], hosts.values_at("edition", "by_system")
      send_json(:post, "/api/service/kinds/hosts/editions", "edition" => 1, "opened_on" => 2)
      assert_equal [201, 3, 7], [status, hosts["edition"], hosts["by_system"][0]["says"]["lines"]]
      assert_empty ask("/api/service/kinds")["kinds"], "it is no kind of device"
      send_json(:delete, "/api/service/kinds/hosts?opened_on=3", {})
      assert_equal [4, []], hosts.values_at("edition", "by_system")
      keep(SAID, 4)
      assert_equal [201, 5], [status, hosts["edition"]]
    end

    # The file that ships opens, and says of each what it is.
    def test_the_file_that_ships_is_one
      keep(JSON.parse(File.read(File.join(Server::DATA, "hosts.json"))))
      assert_equal [201, %w[computer tablet phone television]], [status, hosts["by_system"].map { |one| one["system"] }]
    end

    def test_what_is_wrong_is_told_where_it_stands
      { [{ "system" => "kettle" }] => "/document/hosts/0/system",
        [{ "system" => "phone", "shortlist" => { "most" => 0 } }] => "/document/hosts/0/shortlist/most",
        [{ "system" => "phone", "steps" => { "most" => 99 } }] => "/document/hosts/0/steps/most",
        [{ "system" => "phone" }] * 2 => "/document/hosts",
        [{ "system" => "phone", "keeps" => [{ "keys" => [], "why" => "x" }] }] => "/document/hosts/0/keeps/0/keys",
        [{ "system" => "phone", "steps" => 3 }] => "/document/hosts/0/steps" }.each do |list, where|
        keep(SAID.merge("hosts" => list))
        assert_equal [422, true], [status, answer["faults"].map { |fault| fault["where"] }.include?(where)], "#{where}: #{answer}"
      end
    end

    def test_a_kind_never_takes_its_place_and_no_other_service_sees_it
      keep
      pad = JSON.parse(File.read(File.join(Server::DATA, "kinds", "touchpad.json"))).merge("id" => "hosts", "name" => "Pad")
      send_json(:post, "/api/service/kinds", "document" => pad)
      assert_equal [201, "pad"], [status, answer["id"]]
      @service = store.add_service("Withy Bed")
      sign_in_as("specialist")
      assert_nil hosts["edition"]
    end
  end
end
