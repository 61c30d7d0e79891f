# frozen_string_literal: true

require_relative "helper"

module Kippen
  # Wants over the contract: which buttons do them, in words.
  class WantsTest < ServerTest
    # A want that many buttons do is told with some of them.
    def test_of_many_ways_to_a_want_some_are_told
      buttons = (1..20).map { |number| { "id" => "b#{number}", "name" => "B#{number}" } }
      assignments = buttons.map do |button|
        { "button" => "box/#{button["id"]}", "gesture" => "tap", "action" => { "kind" => "help" } }
      end
      add_client("kippen" => "fitting/1", "devices" => [{ "id" => "box", "buttons" => buttons }], "assignments" => assignments,
                 "wants" => [{ "id" => "help", "what" => "Call", "wrong" => "nuisance", "importance" => "must",
                               "action" => { "kind" => "help" } }])
      want = ask("/api/clients/#{@client}/wants")["wants"].first
      assert_equal ["done", 8, 12], [want["state"], want["ways"].size, want["more_ways"]]
    end

    def test_a_want_says_which_button_does_it
      add_client("kippen" => "fitting/1", "client" => { "name" => "Somebody" })
      change({ "kind" => "host", "host" => { "name" => "Television", "system" => "television" } })
      change({ "kind" => "add_device", "of" => "remote", "host" => "television" }, parent: 2)
      change({ "kind" => "want", "want" => { "what" => "Louder", "action" => { "kind" => "volume", "direction" => "up" },
                                             "wrong" => "nothing" } }, parent: 3)
      want = ask("/api/clients/#{@client}/wants")["wants"][0]
      assert_equal ["done", "Television remote, Louder: tap, by itself"], [want["state"], want["ways"][0]["words"]]
      change({ "kind" => "want", "want" => { "what" => "Louder", "hosts" => ["attic"] } }, parent: 4)
      assert_problem 422, ["/wants/1/hosts", 'unknown host "attic"']
    end
  end
end
