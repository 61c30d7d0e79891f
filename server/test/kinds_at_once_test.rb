# frozen_string_literal: true

require_relative "committed"

module Kippen
  # Several at one kind at the same moment, each with a way of their own to the database.
  class KindsAtOnceTest < CommittedCase
    PAD = JSON.parse(File.read(File.join(Server::DATA, "kinds", "touchpad.json")))
      .merge("id" => "reed-pad", "name" => "Reed pad").freeze

    def account = Server::Store::Accounts.new(DATABASE).open(DATABASE[:accounts].where(service_id: @service).get(:id))
    def kept(database = DATABASE) = Server::Store::KeptKinds.new(database, account)

    def test_of_those_who_began_from_one_edition_one_saves
      kept.save(PAD, nil)
      ways = Array.new(4) { kept(other) }
      told = ways.each_with_index.map do |way, index|
        Thread.new do
          way.save(PAD.merge("name" => "Pad #{index}"), 1)[:edition]
        rescue Server::Store::KeptKinds::Newer => e
          e.newest[:edition]
        end
      end.map(&:value)
      assert_equal [2, 2, 2, 2], told
      assert_equal([2, 1], kept.editions("reed-pad").map { |row| row[:edition] })
    end

    # With the audit trail, which speaks of the service.
    def audited(database, who)
      Server::Store::Save.new(database).on(@client, author: "Somebody", account: who) do |head|
        Server::Store::Save::Made.new(fitting: head.fitting)
      end
    end

    # New ones of the same id get ids of their own, and a client is saved meanwhile.
    def test_new_ones_at_once_and_a_client_saved_beside_them
      ways = Array.new(3) { kept(other) }
      beside = other
      client = nil
      who = account
      DATABASE.transaction do
        kept.save(PAD, nil)
        client = Thread.new { audited(beside, who) }
        assert client.join(10), "who saves for a client waits for nobody's kinds"
      end
      ids = ways.map { |way| Thread.new { way.save(PAD, nil)[:id] } }.map(&:value)
      assert_equal %w[reed-pad-2 reed-pad-3 reed-pad-4], ids.sort
      assert_equal 2, head.number
    end
  end
end
