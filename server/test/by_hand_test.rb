# frozen_string_literal: true

require_relative "helper"

module Kippen
  # A device that people set from a list: at the desk, and with a code that opens this list and nothing else.
  class ByHandRoutesTest < ServerTest
    PHONE = "pocket-phone"

    def setup
      super
      add_client
      assign("long_press", ANSWER)
      send_json(:put, "/api/clients/#{@client}/by-hand", "device" => PHONE, "by_hand" => true)
      assert_equal 200, status, answer
    end

    def list = ask("/api/clients/#{@client}/by-hand", "device" => PHONE)["lines"]
    def has = ask("/api/clients/#{@client}/handovers")["devices"].find { |one| one["device"] == PHONE }

    def tick(line, tick = "set", **more)
      sent = { "device" => PHONE, "key" => line["key"], "mark" => line["mark"], "tick" => tick, **more.transform_keys(&:to_s) }
      send_json(:post, "/api/clients/#{@client}/by-hand", sent)
    end

    def test_gone_through_it_counts_as_handed_over
      assert_equal ["by_hand", list.size, 0, 0], [has["state"], *has["by_hand"].values_at("of", "set", "cant")]
      first, *others = list
      tick(first)
      assert_equal [200, "A specialist", 1], [status, list[0]["tick"]["by"], has["by_hand"]["set"]]
      others[0..-2].each { |line| tick(line) }
      tick(others.last, "cant", why: "It is not in the menu.")
      assert_equal ["It is not in the menu.", "on_it", 2], [list.last["tick"]["why"], has["state"], has["brought"]["revision"]]
      assert_equal([%w[hand done]], ask("/api/clients/#{@client}/handovers")["record"].map do |one|
        one.values_at("what", "state")
      end)
    end

    # A new revision opens only what differs, and says what it was.
    def test_only_what_differs_is_open_again
      list.each { |line| tick(line) }
      change({ "kind" => "timing", "button" => EDGE, "setting" => "long_press_ms", "value" => 700 }, parent: 2)
      open = list.reject { |line| line["tick"] }
      assert_equal([["700 ms", "Set it back to 500 ms."]], open.map { |line| line.values_at("value", "undo") })
      assert_equal "by_hand", has["state"]
      assert(has["differs"].any? { |words| words.include?("700 ms") }, has["differs"].to_s)
      tick(open[0])
      assert_equal ["on_it", 3], [has["state"], has["brought"]["revision"]]
    end

    def test_what_was_ticked_by_mistake_is_open_again
      tick(list[0])
      tick(list[0], "open")
      assert_nil list[0]["tick"]
    end

    # Ticked from a page that shows another value: nothing is ticked.
    def test_an_older_value_is_not_ticked
      line = list.last
      change({ "kind" => "timing", "button" => EDGE, "setting" => "long_press_ms", "value" => 700 }, parent: 2)
      tick(line)
      assert_equal [404, true], [status, answer["detail"].start_with?("This is not on the list any more")]
      assert(list.none? { |one| one["tick"] })
    end

    def test_kippen_puts_nothing_on_what_is_set_by_hand
      sent = { "what" => "put", "devices" => [{ "device" => PHONE, "seen" => nil }], "revision" => 2 }
      send_json(:post, "/api/clients/#{@client}/handovers", sent)
      assert_equal 409, status
    end

    # Asked for and then set by hand: nothing is put on it any more.
    def test_what_was_under_way_is_given_up
      send_json(:put, "/api/clients/#{@client}/by-hand", "device" => PHONE, "by_hand" => false)
      sent = { "what" => "put", "devices" => [{ "device" => PHONE, "seen" => nil }], "revision" => 2 }
      send_json(:post, "/api/clients/#{@client}/handovers", sent)
      assert_equal 202, status, answer
      send_json(:put, "/api/clients/#{@client}/by-hand", "device" => PHONE, "by_hand" => true)
      assert_equal ["given_up"], DATABASE[:handovers].where(client_id: @client).select_map(:state)
      DATABASE[:handovers].where(client_id: @client).select_map(:id).each { |id| Server::Jobs::PutOnDevice.run(id) }
      assert_nil Server::Store::Carriers.carrier(DATABASE[:carriers].first(client_id: @client)).on_it
    end

    def code
      send_json(:post, "/api/clients/#{@client}/joins", "host" => ask("/api/clients/#{@client}")["hosts"][0]["id"],
                                                        "lists" => PHONE)
      answer["code"]
    end

    def join(code)
      clear_cookies
      post("/api/joined", JSON.generate("code" => code, "name" => "Wenna, carer"), "CONTENT_TYPE" => "application/json")
      @token = answer["token"]
      answer
    end

    def with_token(method, path, value = nil)
      public_send(method, path, value ? JSON.generate(value) : {}, "CONTENT_TYPE" => "application/json",
                                                                   "HTTP_AUTHORIZATION" => "Bearer #{@token}")
      answer
    end

    def test_a_carer_with_a_code_ticks_what_it_opens
      assert_equal "list", join(code)["opens"]
      lines = with_token(:get, "/api/joined/by-hand")["lines"]
      with_token(:post, "/api/joined/by-hand", { "key" => lines[0]["key"], "mark" => lines[0]["mark"], "tick" => "set" })
      assert_equal [200, "Wenna, carer"], [status, answer["lines"][0]["tick"]["by"]]
    end

    # A code for a list hears nothing and sees no screen; one for a listener opens no list; ended or lapsed it opens nothing.
    def test_the_code_opens_nothing_else
      join(code)
      ["/api/joined", "/api/joined/screen", "/api/joined/prompt", "/api/clients/#{@client}",
       "/api/clients/#{@client}/by-hand?device=#{PHONE}"]
        .each do |path|
          with_token(:get, path)
          assert_equal 401, status, path
        end
      with_token(:post, "/api/joined/streams", {})
      assert_equal 401, status
      assert_empty DATABASE[:listeners].where(client_id: @client).all
      DATABASE[:joins].update(expires_at: Time.now - 1)
      with_token(:get, "/api/joined/by-hand")
      assert_equal 401, status
    end

    def test_a_listener_opens_no_list
      send_json(:post, "/api/clients/#{@client}/joins", "host" => ask("/api/clients/#{@client}")["hosts"][0]["id"])
      assert_equal "listener", join(answer["code"])["opens"]
      with_token(:get, "/api/joined/by-hand")
      assert_equal 401, status
    end

    def test_whose_client_it_is_not_gets_nothing
      sign_in_as("specialist", service: store.add_service("Elsewhere"))
      begin
        list
      rescue StandardError
        nil
      end
      assert_equal 404, status
    end
  end
end
