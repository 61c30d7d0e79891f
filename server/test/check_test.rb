# frozen_string_literal: true

require_relative "helper"

module Kippen
  # What is found in a client's fitting, and what would mend it, asked over the API.
  class CheckRouteTest < ServerTest
    def setup
      super
      add_client
    end

    def check = ask("/api/clients/#{@client}/check")
    def fixes(finding) = ask("/api/clients/#{@client}/check/fixes", { "id" => finding["id"] }.merge(finding["where"]))
    def open = ask("/api/clients/#{@client}")["open"]

    def test_what_is_found_is_mended_by_one_change_and_counted_at_the_desk
      found = check
      help = found["findings"].find { |one| one["id"] == "no_help" }
      assert_equal ["serious", {}, "No button asks for help, on no host."], help.values_at("bad", "where", "what")
      assert_includes found["looked_for"], "a mode without a way back"
      assert_equal [1, []], found.values_at("revision", "left_out")
      assert_equal(found["findings"].group_by { |one| one["bad"] }.transform_values(&:size), open.slice("serious", "look"))

      fix = fixes(help)["fixes"].first
      change(fix["change"], parent: 1)
      assert_equal 201, status, answer
      refute_includes(check["findings"].map { |one| one["id"] }, "no_help")
      assert_equal found["findings"].count { |one| one["bad"] == "serious" } - 1, open["serious"]
      gone = fixes(help)
      assert_equal [404, "This is found no more"], [status, gone["detail"]]
    end

    def test_whose_client_it_is_not_gets_nothing
      sign_in_as("specialist", service: store.add_service("Elsewhere"))
      check
      assert_equal 404, status
      fixes({ "id" => "no_help", "where" => {} })
      assert_equal 404, status
    end

    # A viewer sees it all.
    def test_what_took_too_long_is_told
      fitting = Formats::FittingJson.read(JSON.generate(DEMO))
      result = Server::CheckRoutes.of(fitting, {}, 0)
      assert_empty result.looked_for
      assert_equal Check::WITHOUT_PRESSES.size, Server::CheckRoutes.left_out(result).size
    end
  end
end
