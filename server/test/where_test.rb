# frozen_string_literal: true

require_relative "helper"

module Kippen
  # Places, modes, shortlists and cues over the API, and what a press would do where.
  class WhereRouteTest < ServerTest
    LOCK = { "kind" => "mode", "mode" => "reading", "how" => "lock" }.freeze

    def setup
      super
      add_client
      @parent = 0
    end

    def save(kind, **given) = change({ "kind" => kind }.merge(given.transform_keys(&:to_s)), parent: @parent += 1)
    def where = ask("/api/clients/#{@client}/where")

    def test_a_place_is_made_named_switched_off_and_taken_out
      save("place", place: { "app" => "packetry", "part" => "The list" })
      assert_equal 201, status, answer
      save("assign", button: EDGE, gesture: "tap", action: MARK, place: "packetry-the-list")
      place = where["places"].last
      assert_equal ["packetry-the-list", "Packetry: The list", "packetry", "the-list", false],
                   place.values_at("id", "name", "app", "part", "off")
      assert_equal([["Pocket phone, Edge key", "tap", false, "Mark the packet"]],
                   place["assigned"].map { |one| one.values_at("button_name", "gesture", "off", "name") })
      why = ask("/api/clients/#{@client}/answers", "button" => EDGE, "place" => place["id"])["answers"].first
      assert_equal ["tap", "Mark the packet", ["Looked for, in this order: as usual in Packetry: The list has one."]],
                   why.values_at("gesture", "name", "why")
      save("place", place: { "id" => place["id"], "off" => true })
      assert_equal [true], ask("/api/clients/#{@client}")["places"].last.values_at("off")
      assert_equal 1, where["never"].size
      save("remove_place", id: place["id"])
      assert_equal ["1 assigned there is kept with it, and comes back with it."], answer["told"]
    end

    # The rest is told all the same.
    def test_what_takes_too_long_is_left_out_and_said
      save("mode", mode: { "name" => "Reading", "otherwise" => "nothing" })
      save("assign", button: EDGE, gesture: "tap", action: LOCK)
      fitting = Server::Store::Revisions.new(DATABASE).fitting(@client).first
      # Each of a fitting of its own: what was worked out once is there.
      whole, late = [10, 0].map { |part_s| Server::RenderWhere.new(Fitting.read(fitting.document), part_s:).all(3) }
      assert_equal [[], 1, 1], [whole["left_out"], whole["no_way_back"].size, whole["modes"].first["ways_in"].size]
      assert_equal [3, [], []], [late["left_out"].size, late["no_way_back"], late["modes"].first["ways_in"]]
      assert_includes late["left_out"], "Whether each mode has a way back takes too long to work out: it is not told."
      assert_equal(%w[places shortlists cues].map { |part| whole[part] }, %w[places shortlists cues].map { |part| late[part] })
    end

    def test_a_mode_without_a_way_back_is_told_before_and_after_and_one_change_puts_it_right
      save("mode", mode: { "name" => "Reading", "otherwise" => "nothing" })
      taking = { "kind" => "assign", "button" => EDGE, "gesture" => "tap", "action" => LOCK }
      looked = send_json(:post, "/api/clients/#{@client}/previews", "change" => taking)
      words = "Reading has no way back wherever the client is: once it is on, no button ends it."
      assert_equal([words], looked["no_way_back"].map { |one| one["what"] })
      assert_includes change(taking, parent: 2)["told"], words
      change(where["no_way_back"].first["fixes"].first["change"], parent: 3)
      assert_equal [201, []], [status, answer["told"].grep(/no way back/)]
      now = where
      assert_empty now["no_way_back"]
      mode = now["modes"].last
      assert_equal(%w[lock], mode["ways_in"].map { |way| way["how"] })
      assert_equal([["clear", "Reading", nil]], mode["ways_out"].map { |way| way.values_at("how", "from", "to") })
    end

    def test_a_shortlist_at_its_hosts_limit_and_one_more
      save("host", host: { "id" => "phone", "name" => "Phone", "system" => "phone" })
      lines = Array.new(6) { |index| { "action" => { "kind" => "text", "text" => "Line #{index}" } } }
      save("shortlist", shortlist: { "name" => "Often", "host" => "phone", "items" => lines })
      list = where["shortlists"].last
      assert_equal [6, "Type “Line 0”"], [list["items"].size, list["items"].first["name"]]
      assert_equal 6, where["hosts"].find { |host| host["id"] == "phone" }["most"]
      save("shortlist", shortlist: { "id" => list["id"],
                                     "items" => lines + [{ "action" => { "kind" => "volume", "direction" => "up" } }] })
      assert_problem 422, ["/change/items", "Phone shows 6 lines of a shortlist; these are 7. Take out Louder."]
    end

    def test_cues_and_what_can_give_them
      save("cues", cues: { "long_press" => %w[hear feel], "quiet" => { "from" => "21:00", "to" => "07:00" } })
      cues = where["cues"]
      assert_equal %w[hear feel], cues["events"].first["ways"]
      assert_equal({ "from" => "21:00", "to" => "07:00" }, cues["quiet"])
      save("cues", cues: { "quiet" => { "from" => "25:00", "to" => "07:00" } })
      assert_problem 400
    end

    def test_what_is_not_there
      ask("/api/clients/#{@client}/answers", "button" => "gone/gone")
      assert_problem 404
      ask("/api/clients/#{@client}/answers", "button" => EDGE, "mode" => "gone")
      assert_problem 404
      %w[remove_place remove_mode remove_shortlist].each do |kind|
        change({ "kind" => kind, "id" => "gone" }) && assert_problem(422)
      end
    end
  end
end
