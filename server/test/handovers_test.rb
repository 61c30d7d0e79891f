# frozen_string_literal: true

require_relative "handed_over"

module Kippen
  # Handed over to stand-in devices: what is on each, never half of it, and back again.
  class HandoversTest < ServerTest
    include HandedOver

    def test_from_nothing_to_on_it_and_what_differs_then
      assert_equal ["nothing", nil, nil, 0], [*has.values_at("state", "brought", "seen"), differ]
      hand_over
      assert_equal [202, "waiting"], [status, answer["devices"].find { |one| one["device"] == PHONE }["state"]]
      work
      assert_equal ["on_it", 1, "A specialist", []], [has["state"], *has["brought"].values_at("revision", "by"), has["differs"]]
      assign("long_press", ANSWER)
      assert_equal ["differs", 1, 1], [has["state"], has["brought"]["revision"], differ]
      assert(has["differs"].any? { |one| one.include?("long-press: Answer") }, has["differs"].to_s)
      onto
      assert_equal ["on_it", 2, 1], [has["state"], has["brought"]["revision"], has["back"]]
      # A name is no difference.
      change({ "kind" => "device", "device" => PHONE, "set" => { "name" => "Bram's phone" } }, parent: 2)
      assert_equal "on_it", has["state"]
    end

    def test_taken_back_in_one_step_and_emptied
      onto
      first = has["seen"]
      assign("long_press", ANSWER)
      onto
      hand_over("back")
      work
      assert_equal [first, "differs", 1], [has["seen"], has["state"], has["brought"]["revision"]]
      hand_over("empty")
      work
      assert_equal ["differs", nil], has.values_at("state", "seen")
      # What was there before is kept on record: it is written anew.
      hand_over("back")
      work
      assert_equal 1, has["brought"]["revision"]
      assert_equal(%w[back empty back put put], view["record"].map { |one| one["what"] })
      assert_equal ["done"], view["record"].map { |one| one["state"] }.uniq
    end

    def test_out_of_reach_it_keeps_what_it_had_and_is_caught_up
      onto
      old = has["seen"]
      assign("long_press", ANSWER)
      reach(false)
      onto
      assert_equal ["away", old], has.values_at("state", "seen")
      refute_nil has["away_since"]
      reach(true)
      work
      assert_equal ["on_it", 2, nil], [has["state"], has["brought"]["revision"], has["away_since"]]
    end

    # At every message: whatever breaks off, the old one is whole; and it comes to its end once it is in reach again.
    def test_broken_off_after_any_message
      onto
      (0..11).each do |left|
        old = carrier.on_it
        assign("long_press", { "kind" => "text", "text" => "It is #{left}" }, parent: newest)
        assert_equal 201, status, answer
        hand_over
        break_off_after(left) { work }
        assert_includes [old, wanted], carrier.on_it, left.to_s
        assert_equal old, carrier.on_it, left.to_s if left < 5
        work
        assert_equal wanted, carrier.on_it, left.to_s
      end
    end

    def wanted
      fitting, = Server::Store::Revisions.new(DATABASE).fitting(@client)
      carried = Handover::Carried.of(fitting, fitting.device(PHONE), Server::KNOWLEDGE).document
      Handover::Parts.whole(Handover::Parts.of(carried).map(&:text))
    end

    # The device is out of reach after so many messages, and back when that is noticed.
    def break_off_after(left)
      port = Server::Store::Carriers::Port
      told = port.instance_method(:told)
      count = 0
      port.define_method(:told) do |&message|
        (count += 1) > left ? raise(Standins::OutOfReach, "away") : told.bind_call(self, &message)
      end
      yield
    ensure
      port.define_method(:told, told)
      port.send(:private, :told)
    end

    # Somebody else put something on it meanwhile: both are shown, nothing is lost.
    def test_what_was_seen_is_there_no_more
      onto
      hand_over(seen: "0" * 64)
      assert_equal [409, "on_it"], [status, has["state"]]
      assign("long_press", ANSWER)
      hand_over(revision: 1)
      assert_equal 409, status
      assert_match(/revision 2 is the newest/, answer["detail"])
    end

    # The last one asked for is what comes onto it, also where the one before is worked on later.
    def test_two_one_after_the_other
      hand_over
      first = DATABASE[:handovers].where(client_id: @client).get(:id)
      assign("long_press", ANSWER)
      hand_over
      second = DATABASE[:handovers].where(client_id: @client, number: 2).get(:id)
      work(second, first)
      assert_equal [2, "given_up"], [has["brought"]["revision"], DATABASE[:handovers].where(id: first).get(:state)]
    end

    KNEE = "knee-switch"
    CHEEK = "cheek-switch"

    # Two devices of one host are asked for together; returns the ids of what is asked, in this order.
    def two
      add_client(JSON.parse(File.read(File.join(Server::ROOT, "demo", "sunniva.fitting.json"))))
      yield if block_given?
      hand_over(devices: [KNEE, CHEEK])
      assert_equal 202, status, answer
      [KNEE, CHEEK].map { |device| DATABASE[:handovers].where(client_id: @client, device:).get(:id) }
    end

    # The one that is written waits for the other, and no longer once that was stopped before its turn.
    def test_one_of_two_is_stopped_before_its_turn
      knee, cheek = two
      work(knee)
      assert_equal ["writing", nil], has(KNEE).values_at("state", "seen"), "it waits for the other"
      send_json(:post, "/api/clients/#{@client}/handovers/stop", "device" => CHEEK)
      work(cheek)
      assert_equal ["on_it", nil], [has(KNEE)["state"], has(CHEEK)["seen"]]
    end

    # One that is away holds the other up no longer, whichever is worked on first.
    def test_one_of_two_is_away
      %i[to_a reverse].each do |order|
        ids = two { reach(false, device: KNEE) && reach(false, device: CHEEK) && reach(true, device: KNEE) }
        work(*ids.public_send(order))
        assert_equal %w[on_it away], [has(KNEE)["state"], has(CHEEK)["state"]], order.to_s
        reach(true, device: CHEEK)
        work
        assert_equal "on_it", has(CHEEK)["state"]
      end
    end

    def test_stopped_it_keeps_what_it_had
      onto
      old = has["seen"]
      assign("long_press", ANSWER)
      hand_over
      send_json(:post, "/api/clients/#{@client}/handovers/stop", "device" => PHONE)
      work
      assert_equal ["differs", old], has.values_at("state", "seen")
    end

    # The worker died in the middle: another begins it anew, and it is whole before and after.
    def test_a_worker_that_dies
      hand_over
      row = Server::Jobs::PutOnDevice.work.take(DATABASE[:handovers].first(client_id: @client)[:id])
      port = Server::Store::Carriers.new(DATABASE).port(row[:carrier_id])
      transfer = Handover::Transfer.new(port, row[:document].to_hash, number: row[:number], seen: nil)
      assert_raises(StopIteration) { transfer.write { |done,| raise StopIteration if done == 2 } }
      assert_nil carrier.on_it
      work
      assert_equal "on_it", has["state"]
    end

    def test_a_device_that_the_fitting_has_no_more_stays_listed_until_it_is_emptied
      onto
      seen = has["seen"]
      change({ "kind" => "take_out", "id" => PHONE }, parent: 1)
      assert_equal([[PHONE, seen]], view["gone"].map { |one| one.values_at("device", "seen") })
      hand_over(devices: [PHONE], seen:)
      assert_equal 404, status
      hand_over("empty", devices: [PHONE], seen:)
      work
      assert_empty view["gone"]
    end

    # Erased while it waits, and while it is written: nothing of it is left, and nothing goes wrong.
    def test_erased_while_it_is_under_way
      hand_over
      id = DATABASE[:handovers].where(client_id: @client).get(:id)
      row = Server::Jobs::PutOnDevice.work.take(id)
      port = Server::Store::Carriers.new(DATABASE).port(row[:carrier_id])
      transfer = Handover::Transfer.new(port, row[:document].to_hash, number: row[:number], seen: nil)
      assert_raises(Standins::OutOfReach) do
        transfer.write { |done,| Server::Store::Clients.new(DATABASE).erase(@client) if done == 1 }
      end
      Server::Store::Handovers.new(DATABASE).away(row)
      Server::Jobs::PutOnDevice.run(id)
      assert_equal [0, 0], [DATABASE[:handovers].count, DATABASE[:carriers].count]
    end

    # What can be told is emptied; what can't is to be emptied, and nobody's.
    def test_erased_with_its_client
      onto
      reach(false)
      Server::Store::Clients.new(DATABASE).erase(@client)
      left = Server::Store::Carriers.new(DATABASE).to_be_emptied(@service)
      assert_equal([PHONE], left.map { |row| row[:device] })
      assert_empty DATABASE[:handovers].where(client_id: @client).all
      sign_in_as("lead")
      assert_equal([[left[0][:id], "Phone"]], ask("/api/to-be-emptied")["devices"].map { |one| one.values_at("id", "kind") })
      sign_in_as("lead", service: store.add_service("Elsewhere"))
      send_json(:post, "/api/to-be-emptied", "id" => left[0][:id])
      assert_equal 404, status
      sign_in_as("lead")
      assert_empty send_json(:post, "/api/to-be-emptied", "id" => left[0][:id])["devices"]
    end

    def test_whose_client_it_is_not_gets_nothing_and_who_looks_hands_nothing_over
      onto
      sign_in_as("specialist", service: store.add_service("Elsewhere"))
      view
      assert_equal 404, status
      sign_in_as("viewer")
      DATABASE[:viewings].insert(account_id: DATABASE[:accounts].where(email: "viewer@#{@service}.example").get(:id),
                                 client_id: @client)
      assert_equal "on_it", has["state"]
      hand_over("empty", seen: has["seen"])
      assert_equal 403, status
    end
  end
end
