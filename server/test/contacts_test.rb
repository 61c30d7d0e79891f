# frozen_string_literal: true

require_relative "helper"

module Kippen
  # What was pressed lately, of all that was ever heard: the latest, and no more of it than is looked at.
  class ContactsTest < ServerTest
    def setup
      super
      add_client
      @listener = send_json(:post, "/api/clients/#{@client}/listeners", "name" => "Desk")["id"]
      binding = [{ "button" => EDGE, "heard" => "key:F9" }]
      send_json(:put, "/api/listeners/#{@listener}/bindings", "bindings" => binding)
      @store = Server::Store::Streams.new(DATABASE)
    end

    # A stream begun so many hours ago with presses of so many ms.
    def heard(hours_ago, *lengths)
      stream = DATABASE[:streams].returning(:id).insert(listener_id: @listener, raw: false,
                                                        started_at: Time.now - (3600 * hours_ago)).first[:id]
      rows = lengths.each_with_index.flat_map do |ms, index|
        [[index * 1_000_000, "down"], [(index * 1_000_000) + (ms * 1000), "up"]]
      end
      rows.each.with_index(1) do |(time_us, kind), number|
        DATABASE[:messages].insert(stream_id: stream, number:, time_us:, kind:, source: EDGE, value: "")
      end
    end

    def held
      @store.contacts(@client, Server::Store::Revisions.new(DATABASE).head(@client).fitting).fetch("pocket-phone", [])
        .map do |one|
        one.held_us / 1000
      end
    end

    def test_the_oldest_stands_first_through_all_streams
      heard(1, 50, 60)
      heard(3, 10, 20)
      heard(2, 30, 40)
      assert_equal [10, 20, 30, 40, 50, 60], held
    end

    def test_no_more_is_looked_at_than_the_latest_streams_and_the_latest_messages
      (1..(Server::Store::Streams::LOOKED_AT + 1)).each { |hours| heard(hours, hours) }
      assert_equal Server::Store::Streams::LOOKED_AT, held.size
      refute_includes held, Server::Store::Streams::LOOKED_AT + 1
      heard(0, *Array.new((Server::Store::Streams::MOST_LOOKED_AT / 2) - 1, 70))
      assert_equal [1, *Array.new((Server::Store::Streams::MOST_LOOKED_AT / 2) - 1, 70)], held
    end
  end
end
