# frozen_string_literal: true

require_relative "helper"

module Kippen
  # The list of clients, with a thousand in it; a client's data out, and erased; accounts.
  class CaseloadTest < ServerTest
    def many(count, service, name)
      rows = Array.new(count) do |index|
        { service_id: service, name: "#{name} #{index}", about: "thumb", revision: 1, seen_at: Time.now - index }
      end
      DATABASE[:clients].multi_insert(rows)
    end

    def plan(dataset) = dataset.explain

    def test_a_thousand_clients_are_listed_and_searched_by_index
      4.times { |index| many(1000, store.add_service("Other #{index}"), "Someone") }
      many(1000, @service, "Reed")
      many(1, @service, "Ottoline Fenwether")
      DATABASE.run("ANALYZE clients")
      account = store.open(DATABASE[:accounts].where(service_id: @service).get(:id))
      clients = Server::Store::Clients.new(DATABASE)
      [clients.listed(account, "").limit(51), clients.listed(account, "fenw ottol").limit(51)].each do |dataset|
        assert_match(/Index/, plan(dataset))
        refute_match(/Seq Scan on clients/, plan(dataset))
      end
      first = ask("/api/clients")
      assert_equal [50, true], [first["clients"].size, first["more"]]
      assert_equal 1001 % 50, ask("/api/clients", "page" => 21)["clients"].size
      assert_equal(["Ottoline Fenwether 0"],
                   ask("/api/clients", "search" => "fenw OTTOL")["clients"].map { |client| client["name"] })
    end

    def test_a_search_takes_signs_as_they_are
      many(2, @service, "Reed")
      assert_empty ask("/api/clients", "search" => "%")["clients"]
      assert_empty ask("/api/clients", "search" => "R_ed")["clients"]
      assert_equal 2, ask("/api/clients", "search" => "reed")["clients"].size
    end

    def test_whoever_was_worked_on_last_stands_first
      add_client(DEMO.merge("client" => { "name" => "First" }))
      first = @client
      DATABASE[:clients].update(seen_at: Time.now - 60)
      add_client(DEMO.merge("client" => { "name" => "Second" }))
      assert_equal(%w[Second First], ask("/api/clients")["clients"].map { |client| client["name"] })
      listener = send_json(:post, "/api/clients/#{first}/listeners", "name" => "Desk")["id"]
      DATABASE[:clients].update(seen_at: Time.now - 60)
      send_json(:post, "/api/listeners/#{listener}/streams", {})
      assert_equal(%w[First Second], ask("/api/clients")["clients"].map { |client| client["name"] })
    end

    # Whoever is killed while it is sent leaves nothing of it behind.
    def test_what_is_written_aside_has_no_name
      before = Dir[File.join(Dir.tmpdir, "kippen-answer*")]
      answer = Server::Spooled.new(["of ", "a client"].each)
      assert_equal before, Dir[File.join(Dir.tmpdir, "kippen-answer*")]
      assert_equal ["of a client"], answer.to_enum.to_a
    ensure
      answer&.close
    end

    def test_everything_of_a_client_comes_out_as_one_file
      sign_in_as("lead")
      add_client
      assign("double_tap", MARK)
      ask("/api/clients/#{@client}/everything")
      assert_equal 200, status
      assert_equal "client/1", answer["kippen"]
      assert_equal([1, 2], answer["revisions"].map { |row| row["number"] })
      assert_equal "fitting/1", answer["revisions"].last["document"]["kippen"]
      assert_equal(["took in a client", "changed the fitting", "took all data out"], answer["audit"].map { |row| row["what"] })
    end

    def test_a_client_is_erased_for_good_after_a_second_look
      sign_in_as("lead")
      add_client
      assign("double_tap", MARK)
      assert_equal({ "revisions" => 2, "listeners" => 0, "streams" => 0, "presses" => 0, "trials" => 0, "viewers" => 0 },
                   ask("/api/clients/#{@client}/erasure"))
      send_json(:post, "/api/clients/#{@client}/erasure", "name" => "Somebody else")
      assert_problem(409)
      send_json(:post, "/api/clients/#{@client}/erasure", "name" => "Bram Oduya-Lisle")
      assert_equal 200, status
      ask("/api/clients/#{@client}")
      assert_problem(404)
      assert_empty DATABASE[:clients].where(id: @client).all
      %i[revisions viewings sittings fits].each { |table| assert_empty DATABASE[table].where(client_id: @client).all }
      entries = ask("/api/audit")["entries"].select { |entry| entry["client"] == @client }
      assert_equal([["A lead", "erased a client", {}]], entries.map { |entry| entry.values_at("author", "what", "detail") })
      refute_includes last_response.body, "Bram"
      assert_includes DATABASE[:erasures].select_map(:client_id), @client
    end

    def test_the_audit_tells_who_changed_what
      add_client
      assign("double_tap", MARK)
      sign_in_as("lead")
      entry = ask("/api/audit", "client" => @client)["entries"].first
      assert_equal ["A specialist", "changed the fitting", { "saved" => 2, "change" => "assign" }],
                   entry.values_at("author", "what", "detail")
    end

    def test_a_lead_makes_and_changes_accounts
      sign_in_as("lead")
      add_client
      new = { "email" => "Carer@reedbank.example", "name" => "A carer", "role" => "viewer", "password" => PASSWORD }
      carer = send_json(:post, "/api/accounts", new)
      assert_equal [201, "carer@reedbank.example", true], [status, carer["email"], carer["open"]]
      send_json(:post, "/api/accounts", new)
      assert_problem(409)
      changed = send_json(:patch, "/api/accounts/#{carer["id"]}", "clients" => [@client])
      assert_equal [@client], changed["clients"]
      clear_cookies
      sign_in("carer@reedbank.example")
      assert_equal "Bram Oduya-Lisle", ask("/api/clients/#{@client}")["name"]
      sign_in_as("lead")
      send_json(:patch, "/api/accounts/#{carer["id"]}", "open" => false)
      clear_cookies
      sign_in("carer@reedbank.example")
      assert_problem(401)
    end

    def test_a_service_keeps_a_lead
      sign_in_as("lead")
      id = ask("/api/accounts")["accounts"].find { |account| account["role"] == "lead" }["id"]
      send_json(:patch, "/api/accounts/#{id}", "role" => "viewer")
      assert_problem(409)
      assert_equal "lead", ask("/api/session")["account"]["role"]
    end
  end
end
