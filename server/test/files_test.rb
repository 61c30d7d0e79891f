# frozen_string_literal: true

require_relative "helper"

module Kippen
  # Files of open formats, out and in.
  class FilesTest < ServerTest
    def setup
      super
      add_client
    end

    # What a stand-in browser heard: two presses of the edge key, one of something that stands for nothing.
    def heard
      send_json(:post, "/api/clients/#{@client}/listeners", "name" => "Desk")
      listener = answer["id"]
      send_json(:post, "/api/listeners/#{listener}/streams", {})
      stream = answer["id"]
      rows = [[1000, EDGE, "down"], [121_000, EDGE, "up"], [900_000, EDGE, "down"], [1_700_000, EDGE, "up"]]
      sent = rows.each_with_index.map do |(t_us, source, kind), index|
        { "number" => index + 1, "t_us" => t_us, "source" => source, "kind" => kind }
      end
      sent << { "number" => 5, "t_us" => 3_000_000, "kind" => "told" }
      send_json(:post, "/api/streams/#{stream}/messages", "messages" => sent)
      assert_equal 200, status, answer
      stream
    end

    TRACE = <<~CSV
      t_us,source,kind,value
      0,pocket-phone/edge,down,
      120000,pocket-phone/edge,up,
      899000,pocket-phone/edge,down,
      1699000,pocket-phone/edge,up,
      2999000,,end,
    CSV

    def test_what_was_heard_goes_out_as_a_trace_evemu_and_raw_and_comes_in_as_the_same
      stream = heard
      all = ask("/api/clients/#{@client}/traces")
      assert_equal([[stream, "Desk", 2]], all["streams"].map { |one| one.values_at("id", "listener", "presses") })
      assert_includes all["codes"].map { |one| one["button"] }, EDGE
      get("/api/clients/#{@client}/traces/#{stream}")
      assert_equal [200, TRACE], [status, last_response.body]
      code = all["codes"].find { |one| one["button"] == EDGE }["code"]
      %w[evemu raw].each do |as|
        get("/api/clients/#{@client}/traces/#{stream}", "as" => as)
        took = send_json(:post, "/api/clients/#{@client}/recordings", "recording" => [last_response.body].pack("m0"))
        assert_equal [{ "code" => code, "presses" => 2, "likely" => EDGE }], took["heard"], as
        assert_nil took["trace"]
        took = send_json(:post, "/api/clients/#{@client}/recordings", "recording" => [last_response_of(stream, as)].pack("m0"),
                                                                      "stands" => [{ "code" => code, "button" => EDGE }])
        assert_equal TRACE.lines.first(5).join, took["trace"], as
        assert_operator took["presses"].size, :>=, 2, as
        assert_equal took["presses"], send_json(:post, "/api/clients/#{@client}/recordings", "trace" => took["trace"])["presses"]
      end
    end

    def last_response_of(stream, as)
      get("/api/clients/#{@client}/traces/#{stream}", "as" => as)
      last_response.body
    end

    def test_a_trace_tells_what_every_press_would_do_here
      took = send_json(:post, "/api/clients/#{@client}/recordings", "trace" => TRACE)
      assert_equal [200, TRACE, []], [status, took["trace"], took["heard"]]
      told = took["presses"].map { |one| one.values_at("at_ms", "phase", "gesture") }
      assert_equal Press::Replay.run(Fitting.read(DEMO), Formats::TraceCsv.new(StringIO.new(TRACE), read: Press::Events.new(Fitting.read(DEMO)).method(:read)).to_a)
        .map { |one| [one.at_us / 1000, one.phase, Words.gesture(one.gesture)] }, told
    end

    def test_what_can_not_be_read_says_where
      { { "trace" => "t_us,source\n" } => "row 1", { "trace" => TRACE.sub("pocket-phone/edge", "no/button") } => "row 2",
        { "recording" => "%%" } => "/recording", { "recording" => ["x"].pack("m0") } => "/",
        { "recording" => "", "stands" => [{ "code" => "KEY_A", "button" => "no/button" }] } => "/stands" }.each do |sent, where|
        send_json(:post, "/api/clients/#{@client}/recordings", sent)
        assert_equal [422, where], [status, answer["faults"]&.first&.fetch("where")], sent.to_s
      end
      add_client
      other = heard
      mine = @client
      add_client
      get("/api/clients/#{@client}/traces/#{other}")
      assert_equal 404, status
      get("/api/clients/#{mine}/traces/#{other}")
      assert_equal 200, status
    end

    def test_a_plain_remap_and_what_it_can_not_say
      made = ask("/api/clients/#{@client}/remap", "device" => "pocket-phone", "bus" => "0003", "vendor" => "1209",
                                                  "product" => "0001")
      assert_equal 200, status, made
      assert(made["left"].all? { |one| one["why"].length > 5 })
      ask("/api/clients/#{@client}/remap", "device" => "pocket-phone", "bus" => "3", "vendor" => "1209", "product" => "0001")
      assert_equal [422, "/bus"], [status, answer["faults"].first["where"]]
      ask("/api/clients/#{@client}/remap", "device" => "none", "bus" => "0003", "vendor" => "1209", "product" => "0001")
      assert_equal 404, status
    end

    # What a file would change is a change like any other: looked at, refused with where, saved, undone.
    def test_a_fitting_file_in_place_of_the_fitting
      file = DEMO.merge("client" => { "name" => "Wren" }, "of_another" => [1])
      send_json(:post, "/api/clients/#{@client}/previews", "change" => { "kind" => "import", "document" => file })
      assert_equal 200, status, answer
      assert_includes answer["words"].join, "Wren"
      assert_equal DEMO, ask("/api/clients/#{@client}/fitting")
      change({ "kind" => "import", "document" => file })
      assert_equal 201, status, answer
      assert_equal file, ask("/api/clients/#{@client}/fitting")
      change({ "kind" => "import", "document" => file.merge("devices" => 7) }, parent: 2)
      assert_equal [422, "/change/document/devices"], [status, answer["faults"].first["where"]]
    end

    # Somebody saved something else meanwhile: both sides are shown, nothing is lost.
    def test_a_file_that_would_take_back_what_another_saved_meanwhile
      assign("long_press", ANSWER)
      change({ "kind" => "import", "document" => DEMO.merge("client" => { "name" => "Wren" }) })
      assert_equal 409, status, answer
      assert_match(/nswer/, answer["theirs"].join)
    end

    def test_devices_of_another_client_of_the_service
      phone = DEMO.merge("hosts" => [{ "id" => "phone", "name" => "Phone", "system" => "phone" }])
      add_client(phone)
      mine = @client
      add_client(phone.merge("client" => { "name" => "Other" }))
      from = ask("/api/clients/#{mine}/fitting")
      change({ "kind" => "carry_over", "document" => from, "host" => from["hosts"][0]["id"],
               "devices" => [{ "id" => "pocket-phone" }] })
      assert_equal 201, status, answer
      names = ask("/api/clients/#{@client}/fitting")["devices"].map { |one| one["name"] }
      assert_equal 2, names.uniq.size, names
    end
  end
end
