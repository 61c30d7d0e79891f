# frozen_string_literal: true

require_relative "helper"
require_relative "odd_handovers"
require_relative "odd_proposals"

module Kippen
  # No single stored row makes a client unopenable: what can't be read is left out, told, and kept.
  class OddRowsTest < ServerTest
    MOUSE = JSON.parse(File.read(File.join(Server::ROOT, "demo", "ottoline.fitting.json")))
    PARTS = ["", "/where", "/screens", "/where", "/screens", "/devices", "/lanes", "/wants", "/bench", "/revisions", "/joins",
             "/hands", "/settings",
             "/arrangements", "/handovers", "/check", "/everything", "/tuning",
             "/reach", "/proposals"].freeze

    def setup
      super
      sign_in_as("lead")
      add_client(MOUSE)
      @listener = send_json(:post, "/api/clients/#{@client}/listeners", "name" => "Desk")["id"]
      @stream = send_json(:post, "/api/listeners/#{@listener}/streams", {})["id"]
    end

    def revision(number, document, **more)
      DATABASE[:revisions].insert(client_id: @client, number:, parent: number - 1, document: Sequel.pg_jsonb(document),
                                  author: "?", **more)
    end

    def hear(number, source, kind, value = "", time_us: number * 1000, stream: @stream)
      DATABASE[:messages].insert(stream_id: stream, number:, time_us:, source:, kind:, value:)
    end

    def carrier(device, memory)
      service = DATABASE[:clients].where(id: @client).get(:service_id)
      DATABASE[:carriers].returning(:id).insert(client_id: @client, service_id: service, device:,
                                                memory: Sequel.pg_jsonb_wrap(memory)).first[:id]
    end

    def assert_opens(why)
      PARTS.each do |part|
        get("/api/clients/#{@client}#{part}")
        assert_equal 200, status, "#{why}, #{part}: #{last_response.body[0, 300]}"
      end
      DATABASE[:sittings].where(client_id: @client).select_map(:id).each { |id| assert_answers("/api/sittings/#{id}") }
      DATABASE[:fits].where(client_id: @client).select_map(:id).each { |id| assert_answers("/api/fits/#{id}") }
      change({ "kind" => "client", "name" => "Still here" }, parent: ask("/api/clients/#{@client}")["revision"]["number"])
      assert_equal 201, status, "#{why}: #{last_response.body}"
    end

    # Whatever was saved in the past opens at every part of the desk.
    def test_documents_of_the_past_open
      Dir[File.join(Server::ROOT, "core", "test", "documents", "*.json")].each do |file|
        add_client(JSON.parse(File.read(file)))
        assert_opens(File.basename(file))
      end
    end

    def assert_answers(path)
      get(path)
      assert_equal 200, status, "#{path}: #{last_response.body[0, 300]}"
    end

    # table => the odd rows that are planted in it
    ODD = {
      "revisions" => lambda { |test|
        test.revision(2, { "kippen" => "fitting/1", "devices" => 7 })
        test.revision(3, { "kippen" => "fitting/1", "hosts" => [nil], "assignments" => [{ "button" => "gone/gone" }] })
      },
      "messages of buttons" => lambda { |test|
        [["", "down"], ["nothing", "down"], ["a/b/c", "up"], ["mouse/left", "level", "x"], ["mouse/left", "dance"],
         ["remote/ok", "notch"],
         ["\u{1F4A5}", "down"]]
          .each_with_index do |row, index|
          test.hear(index + 1, *row)
        end
        test.hear(90, "mouse/left", "down", time_us: 2**53)
        test.hear(91, "mouse/left", "up", time_us: 0)
      },
      "messages as heard" => lambda { |test|
        raw = DATABASE[:streams].returning(:id).insert(listener_id: test.listener, raw: true).first[:id]
        ["key:F9", "key:", "gamepad:", "gamepad:x:level:", "pointer:", "wheel:up", "::",
         "mouse/left"].each_with_index do |source, index|
          test.hear((index * 2) + 1, source, "down", stream: raw)
          test.hear((index * 2) + 2, source, "level", "-3", stream: raw)
        end
      },
      "bindings" => lambda { |test|
        %w[gone/gone mouse/left x].each_with_index do |button, index|
          DATABASE[:bindings].insert(listener_id: test.listener, heard: "odd:#{index}", button:)
        end
      },
      "listeners" => ->(test) { DATABASE[:listeners].insert(client_id: test.client, name: "\u202e\n" * 300) },
      "joins" => lambda { |test|
        DATABASE[:joins].insert(client_id: test.client, host: "attic", code: "ZZZZZZ", expires_at: Time.now + 900)
        DATABASE[:joins].insert(client_id: test.client, host: "", code: "YYYYYY", expires_at: Time.now + 900, joined_at: Time.now)
      },
      "confirmations" => lambda { |test|
        DATABASE[:confirmations].insert(client_id: test.client, revision: 900, revisions: Sequel.pg_array([900], :integer),
                                        lost: Sequel.pg_array(%w[gone/gone], :text),
                                        now: Sequel.pg_array(%w[mouse/left gone/gone], :text), until: Time.now + 60)
      },
      "confirmations, over" => lambda { |test|
        DATABASE[:confirmations].insert(client_id: test.client, revision: 900, revisions: Sequel.pg_array([1, 900], :integer),
                                        lost: Sequel.pg_array(%w[gone/gone], :text),
                                        now: Sequel.pg_array(%w[mouse/left], :text), until: Time.now - 60)
      },
      "benches" => lambda { |test|
        test.hear(1, "mouse/left", "down")
        DATABASE[:benches].insert(stream_id: test.stream, basis: "1", state: Sequel.pg_jsonb({ "kippen" => "bench-state/9" }),
                                  last_us: 5,
                                  last_number: 1, rows: 3, received: 1,
                                  heard_through: 1, heard: Sequel.pg_jsonb({ "x" => [] }))
      },
      "rests" => lambda { |test|
        test.hear(1, "mouse/left", "down")
        DATABASE[:rests].insert(stream_id: test.stream, rows: 0, at_us: 1, at_number: 0, lasting: true,
                                state: Sequel.pg_jsonb({ "hosts" => 7 }))
      }, "tiles" => lambda { |test|
        DATABASE[:tiles].insert(stream_id: test.stream, row: 0, key: "x", story: Sequel.pg_jsonb({ "odd" => true }))
      }, "clients" => lambda { |test|
        DATABASE[:clients].where(id: test.client).update(open: Sequel.pg_jsonb({ "wants" => 7 }), name: "", about: "")
      },
      "screens" => lambda { |test|
        DATABASE[:screens].insert(client_id: test.client, host: "desk",
                                  state: Sequel.pg_jsonb({ "kippen" => "screen/1", "open" => 7 }))
      },
      "sittings" => lambda { |test|
        odd = { button: "mouse/left", way: "dance", whose: "nobody", seed: -1, author: "" }
        [[{ "a" => 1 }, { "number" => "x" }, [[1, "bang"]]], [[], 7, {}],
         [["tap"], { "number" => 3, "intended" => "wave" }, [["x"], 7, nil]]].each do |offered, prompt, trace|
          DATABASE[:sittings].insert(client_id: test.client, offered: Sequel.pg_jsonb_wrap(offered),
                                     prompt: Sequel.pg_jsonb_wrap(prompt),
                                     trace: Sequel.pg_jsonb_wrap(trace), ended_at: Time.now, **odd)
        end
        DATABASE[:sittings].insert(client_id: test.client, offered: Sequel.pg_jsonb(%w[tap]),
                                   prompt: Sequel.pg_jsonb({ "intended" => 7 }),
                                   asked: Sequel.pg_jsonb([7, nil]),
                                   trace: Sequel.pg_jsonb([[5, "up"], [1, "down"], [2, "level", "x"]]), **odd,
                                   button: "gone/gone")
      },
      "trials" => lambda { |test|
        sitting = DATABASE[:sittings].returning(:id)
          .insert(client_id: test.client, offered: Sequel.pg_jsonb(%w[tap]), button: "mouse/left", way: "prompts",
                  whose: "client", seed: 1, author: "").first[:id]
        [["tap", [[5, "down"], [1, "up"]]], ["wave", []], ["rest", { "a" => 1 }], ["tap", [[0, "level", 0.5]]],
         ["tap", [7, nil, [0, "down"]]]]
          .each_with_index do |(intended, trace), number|
          DATABASE[:trials].insert(sitting_id: sitting, number:, button: "mouse/left", intended:, trace: Sequel.pg_jsonb(trace))
        end
      },
      "fits" => lambda { |test|
        odd = { client_id: test.client, sittings: Sequel.pg_jsonb([7]), price: 0.05, fixed: Sequel.pg_jsonb({}), digest: "x",
                author: "", state: "done" }
        ["mouse/left", "gone/gone"].product([{ "kippen" => "trials/9" }, {}],
                                            [nil, [], { "timing" => 7 }, { "kippen" => "fit/9" }]).each do |button, file, result|
          DATABASE[:fits].insert(button:, file: Sequel.pg_jsonb(file), trials: Sequel.pg_jsonb({}),
                                 result: result && Sequel.pg_jsonb_wrap(result), **odd)
        end
      },
      "evidence" => lambda { |test|
        none = { file: {}, fixed: {}, trials: [], sittings: [] }.transform_values { |value| Sequel.pg_jsonb(value) }
        row = { client_id: test.client, button: "", price: 1, digest: "x", author: "",
                result: Sequel.pg_jsonb({ "expected" => 7 }), **none }
        fit = DATABASE[:fits].returning(:id).insert(**row).first[:id]
        [1, 900].each { |number| DATABASE[:evidence].insert(client_id: test.client, number:, fit_id: fit) }
      },
      "audit" => lambda { |test|
        DATABASE[:audit].insert(service_id: test.service, author: "", what: "", client_id: test.client,
                                detail: Sequel.pg_jsonb({ "x" => [1, nil] }))
      },
      "viewings" => lambda { |test|
        DATABASE[:viewings]
          .insert(account_id: DATABASE[:accounts].where(service_id: test.service).get(:id), client_id: test.client)
      }
    }.merge(OddHandovers::ROWS, OddProposals::ROWS).freeze

    attr_reader :client, :listener, :stream, :service

    ODD.each do |table, plant|
      define_method("test_odd #{table}") do
        plant.call(self)
        assert_opens(table)
      end
    end

    def test_what_can_not_be_read_is_told_and_kept
      ODD.fetch("revisions").call(self)
      desk = ask("/api/clients/#{@client}")
      assert_equal [[3, 2], 1], [desk["unreadable"], desk["revision"]["number"]]
      change({ "kind" => "client", "name" => "On" }, parent: 1)
      assert_equal([[], 4], ask("/api/clients/#{@client}").then { |now| [now["unreadable"], now["revision"]["number"]] })
      assert_equal({ "kippen" => "fitting/1", "devices" => 7 },
                   DATABASE[:revisions].where(client_id: @client, number: 2).get(:document).to_hash)
    end

    # Every table that is a client's: a new one must be thought of here.
    def test_no_table_was_forgotten
      of_clients = DATABASE.tables.select do |table|
        DATABASE.foreign_key_list(table).any? { |key| %i[clients listeners streams].include?(key[:table]) }
      end
      planted = ODD.keys.map { |name| name[/\A\w+/].to_sym }
      assert_empty of_clients - planted - [:streams]
    end
  end
end
