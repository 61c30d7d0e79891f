# frozen_string_literal: true

require_relative "helper"
require_relative "../jobs/jobs"

module Kippen
  # What is kept for a while only goes; everything else stays.
  class AgeTest < ServerTest
    def setup
      super
      add_client
    end

    def old(days) = Time.now - (days * 86_400)

    def listener(days, join: nil)
      DATABASE[:listeners].returning(:id).insert(client_id: @client, name: "L", created_at: old(days), join_id: join).first[:id]
    end

    def stream(listener, days)
      id = DATABASE[:streams].returning(:id).insert(listener_id: listener, started_at: old(days)).first[:id]
      DATABASE[:messages].insert(stream_id: id, number: 1, time_us: 0, source: EDGE, kind: "down", value: "")
      id
    end

    def there(table, ids) = DATABASE[table].where(id: ids).select_map(:id)

    def test_streams_listeners_and_joins_go_by_their_age
      used = listener(400)
      unused = listener(181)
      young = listener(179)
      streams = [31, 29].map { |days| stream(used, days) }
      account = DATABASE[:accounts].where(service_id: @service).get(:id)
      joins = [[3, nil], [3, 2], [0, nil]].map.with_index do |(made, ended), index|
        DATABASE[:joins].returning(:id).insert(client_id: @client, account_id: account, host: "phone", code: "AAAAA#{index + 2}",
                                               created_at: old(made),
                                               joined_at: old(made), expires_at: ended ? old(0) : old(made - 0.3),
                                               ended_at: ended && old(ended)).first[:id]
      end
      joined = listener(3, join: joins[0])
      kept = DATABASE[:revisions].count
      counts = Server::Store::Age.prune(DATABASE)
      assert_equal [1, 1, 2], counts.values_at(:streams, :listeners, :joins)
      assert_equal [[streams[1]], [used, young].sort, [joins[2]], []],
                   [there(:streams, streams), there(:listeners, [used, unused, young]).sort, there(:joins, joins),
                    there(:listeners, joined)]
      assert_equal [0, kept], [DATABASE[:messages].where(stream_id: streams[0]).count, DATABASE[:revisions].count]
    end

    def fit(days, button, rested: nil)
      row = { client_id: @client, button:, sittings: Sequel.pg_jsonb([]), file: Sequel.pg_jsonb({}), trials: Sequel.pg_jsonb([]),
              price: 1.0,
              fixed: Sequel.pg_jsonb({}), digest: "d", state: "done", author: "A", created_at: old(days), ended_at: old(days) }
      DATABASE[:fits].returning(:id).insert(**row).first[:id].tap do |id|
        DATABASE[:evidence].insert(client_id: @client, number: rested, fit_id: id) if rested
      end
    end

    # A fit carries a copy of all its trials: what nobody put on goes, but for the newest of each button.
    def test_fits_and_the_audit_trail_go_by_their_age
      kept = [fit(200, EDGE, rested: 1), fit(89, EDGE), fit(300, "phone/other")]
      gone = [fit(91, EDGE), fit(400, EDGE)]
      audit = [1827, 1825].map do |days|
        DATABASE[:audit].returning(:id).insert(service_id: @service, author: "A", what: "looked", at: old(days)).first[:id]
      end
      counts = Server::Store::Age.prune(DATABASE)
      assert_equal [2, 1], counts.values_at(:fits, :audit)
      assert_equal [kept.sort, [], [audit[1]]], [there(:fits, kept).sort, there(:fits, gone), there(:audit, audit)]
      assert_equal 1, DATABASE[:evidence].count
    end

    def kind(id, *ages, gone:)
      ages.each_with_index do |days, index|
        document = gone && index == ages.size - 1 ? nil : Sequel.pg_jsonb({})
        DATABASE[:kinds].insert(service_id: @service, id:, edition: index + 1, document:, author: "A", at: old(days))
      end
    end

    def test_a_kind_that_was_taken_away_goes_with_its_editions
      kind("long-gone", 500, 366, gone: true)
      kind("just-gone", 500, 364, gone: true)
      kind("old", 900, 800, gone: false)
      kind("back-again", 500, 400, gone: true)
      DATABASE[:kinds].insert(service_id: @service, id: "back-again", edition: 3, document: Sequel.pg_jsonb({}), author: "A",
                              at: old(1))
      assert_equal 2, Server::Store::Age.prune(DATABASE)[:kinds]
      assert_equal %w[back-again just-gone old], DATABASE[:kinds].where(service_id: @service).distinct.select_order_map(:id)
    end

    def test_it_is_planned_once_and_again_after_each_time
      Server::Jobs.connect(DATABASE)
      2.times { Server::Jobs.plan }
      planned = DATABASE[:que_jobs].where(job_class: Server::Jobs::Prune.name, finished_at: nil)
      assert_equal 1, planned.count
      Server::Jobs::Prune.run
      assert_operator planned.max(:run_at), :>, Time.now + 3500
    end
  end
end
