# frozen_string_literal: true

require_relative "helper"

module Kippen
  # What tests of handing over share: a client with a phone, and what is put on it.
  module HandedOver
    PHONE = "pocket-phone"

    def setup
      super
      add_client
      Server::Jobs::PutOnDevice.pace = 0
    end

    def view = ask("/api/clients/#{@client}/handovers")
    def has(device = PHONE) = view["devices"].find { |one| one["device"] == device }
    def differ = ask("/api/clients/#{@client}")["open"]["differ"]
    def newest = ask("/api/clients/#{@client}")["revision"]["number"]

    def hand_over(what = "put", devices: [PHONE], seen: nil, revision: newest)
      sent = devices.map { |id| { "device" => id, "seen" => seen || has(id)["seen"] } }
      send_json(:post, "/api/clients/#{@client}/handovers", "what" => what, "devices" => sent, "revision" => revision)
    end

    # What waits is worked on, in its order.
    def work(*ids)
      rows = ServerTest::DATABASE[:handovers].where(client_id: @client, state: %w[waiting working])
      waiting = rows.order(:asked_at, :number).select_map(:id)
      (ids.empty? ? waiting : ids).each { |id| Server::Jobs::PutOnDevice.run(id) }
    end

    def onto(**given)
      hand_over(**given)
      assert_equal 202, status, answer
      work
    end

    def reach(reach, device: PHONE)
      send_json(:post, "/api/clients/#{@client}/handovers/reach", "device" => device, "reach" => reach)
    end

    def carrier(device = PHONE)
      Server::Store::Carriers.carrier(ServerTest::DATABASE[:carriers].first(client_id: @client, device:))
    end
  end
end
