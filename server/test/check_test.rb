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

    # Known by two at once: one is noted, the other is told; who may only look notes nothing.
    def test_what_is_known_and_wanted_is_counted_no_more
      found = check["findings"].find { |one| one["id"] == "no_help" }
      before = open["serious"]
      known = { "kind" => "known", "finding" => "no_help", "where" => {}, "why" => "He calls.",
                "rested" => found.slice("bad", "figures", "mark") }
      change(known, parent: 1)
      assert_equal 201, status, answer
      told = check["findings"].find { |one| one["id"] == "no_help" }
      assert_equal ["He calls.", nil], [told["known"]["why"], told["again"]]
      assert_equal before - 1, open["serious"]
      change(known.merge("why" => "She calls."), parent: 1)
      assert_equal 409, status, answer
      change(known.merge("why" => " "), parent: 2)
      assert_equal 422, status, answer
      change({ "kind" => "not_known", "finding" => "no_help", "where" => {} }, parent: 2)
      assert_equal [201, before], [status, open["serious"]]
    end

    def help_unreliable = check["findings"].select { |one| one["id"] == "help_unreliable" }

    # Presses that were taken in for the edge key: so many as meant, so many let go too soon.
    def take_in(right, wrong)
      pressed = ->(ms) { { "intended" => "long_press", "trace" => [[0, "down"], [ms * 1000, "up"]] } }
      file = { "kippen" => "trials/1", "button" => { "id" => EDGE }, "offered" => %w[tap long_press],
               "trials" => ([pressed[900]] * right) + ([pressed[300]] * wrong) }
      send_json(:post, "/api/clients/#{@client}/trials", { "button" => EDGE, "file" => file })
      assert_equal 201, status, answer
    end

    def test_what_presses_say_of_the_call_for_help
      told = -> { help_unreliable.map { |one| one.values_at("bad", "figures") } }
      change({ "kind" => "assign", "button" => EDGE, "gesture" => "long_press", "action" => { "kind" => "help" } }, parent: 1)
      assert_equal [["look", {}]], told.call
      serious = open["serious"]
      take_in(4, 6)
      assert_equal [["serious", { "right" => 4, "of" => 10, "low" => 17, "high" => 69 }]], told.call
      assert_equal serious + 1, open["serious"], "counted at the desk with no other revision"
      DATABASE[:trials].where(Sequel.like(Sequel.cast(:trace, String), "%300000%")).update(counted: false)
      take_in(190, 0)
      assert_empty told.call
      DATABASE[:trials].update(intended: "tap")
      assert_equal [["look", {}]], told.call, "meant as something else they tell nothing of it"
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
      assert_equal Check::FINDERS.size, Server::CheckRoutes.left_out(result).size
    end
  end
end
