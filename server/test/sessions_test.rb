# frozen_string_literal: true

require_relative "helper"
require "minitest/mock"

module Kippen
  # Signing in, its limits and its end.
  class SessionsTest < ServerTest
    EMAIL = "door@reedbank.example"

    def setup
      super
      clear_cookies
      store.add(@service, email: EMAIL, name: "A door", role: "lead", password: PASSWORD)
    end

    def account = ask("/api/session")["account"]
    def sessions = DATABASE[:account_active_session_keys].where(account_id: DATABASE[:accounts].where(email: EMAIL).select(:id))

    def test_the_password_is_kept_as_argon2id_and_nowhere_else
      kept = DATABASE[:accounts].where(email: EMAIL).first
      assert_match(/\A\$argon2id\$/, kept[:password_hash])
      refute_includes kept.to_s, PASSWORD
    end

    def test_signed_in_and_out_again
      assert_nil account
      sign_in(" Door@Reedbank.example ")
      assert_equal({ "name" => "A door", "email" => EMAIL, "role" => "lead", "service" => "Reedbank", "demo" => false }, account)
      send_json(:post, "/api/session/sign-out", {})
      assert_nil account
      ask("/api/clients")
      assert_problem(401)
    end

    # So that a page can say it before.
    def test_when_it_ends_is_told
      assert_equal [7200, nil], ask("/api/session").values_at("idle_s", "ends_at")
      sign_in(EMAIL)
      sessions.update(created_at: Time.now - (3 * 3600))
      assert_in_delta Time.now + (9 * 3600), Time.iso8601(ask("/api/session")["ends_at"]), 5
    end

    # What somebody gets who tries a password ten times: statuses, words, headers, and how often a password was worked out.
    def tries_of(email)
      worked = 0
      verify = Argon2::Password.method(:verify_password)
      Argon2::Password.stub(:verify_password, ->(*given) { (worked += 1) && verify.call(*given) }) do
        answers = Array.new(10) do
          Server::Rates::COUNTERS.clear
          clear_cookies
          [sign_in(email, "not-the-password"), status, last_response.headers.keys.sort]
        end
        [answers, worked]
      end
    end

    def test_whether_there_is_an_account_is_told_by_nothing
      closed = "closed@reedbank.example"
      store.add(@service, email: closed, name: "Closed", role: "viewer", password: PASSWORD)
      DATABASE[:accounts].where(email: closed).update(status: Server::Store::Accounts::CLOSED)
      known = tries_of(EMAIL)
      assert_equal([["Not signed in. The address or the password is not right", 401]] * 8,
                   known[0].first(8).map { |answer, code| [answer["detail"], code] })
      assert_equal([403, 403], known[0].last(2).map { |_, code| code })
      assert_equal 8, known[1], "once a try, and not where it is locked"
      [tries_of("nobody@reedbank.example"), tries_of(closed)].each do |unknown|
        known[0].zip(unknown[0]).each { |one, other| assert_equal one, other }
        assert_equal known[1], unknown[1]
      end
      refute_includes DATABASE[:tries].all.to_s, "nobody"
      DATABASE[:tries].update(at: Time.now - (16 * 60))
      DATABASE[:account_lockouts].update(deadline: Time.now - 1)
      assert_equal([401, 401], [EMAIL, "nobody@reedbank.example"].map { |email| sign_in(email, "not-the-password") && status })
    end

    def test_eight_wrong_tries_close_the_account_for_a_while_for_the_right_password_too
      8.times { sign_in(EMAIL, "wrong-wrong-wrong") }
      sign_in(EMAIL)
      assert_problem(403)
      assert_match(/up to 15 minutes/, answer["detail"])
      DATABASE[:account_lockouts].update(deadline: Time.now - 1)
      sign_in(EMAIL)
      assert_equal 200, status
    end

    def test_a_session_ends_when_nobody_uses_it
      sign_in(EMAIL)
      sessions.update(last_use: Time.now - Server::SignIn::IDLE_SECONDS - 60)
      assert_nil account
      assert_empty sessions.all
    end

    def test_a_session_ends_after_a_day_in_use_too
      sign_in(EMAIL)
      sessions.update(created_at: Time.now - Server::SignIn::LIFETIME_SECONDS - 60, last_use: Time.now)
      assert_nil account
    end

    def test_signing_out_everywhere_ends_the_sessions_elsewhere
      sign_in(EMAIL)
      elsewhere = last_response["set-cookie"][/kippen.session=[^;]+/]
      clear_cookies
      sign_in(EMAIL)
      send_json(:post, "/api/session/sign-out", "everywhere" => true)
      clear_cookies
      set_cookie(elsewhere)
      assert_nil account
    end

    def test_a_new_password_ends_the_other_sessions_and_the_old_password
      sign_in(EMAIL)
      send_json(:post, "/api/session/password", "password" => PASSWORD, "new_password" => "short")
      assert_equal "must have 10 characters or more", answer["faults"].first["message"][/must have 10 characters or more/]
      send_json(:post, "/api/session/password", "password" => PASSWORD, "new_password" => "an-entirely-new-one")
      assert_equal 200, status, last_response.body
      refute_nil account
      clear_cookies
      sign_in(EMAIL)
      assert_problem(401)
      sign_in(EMAIL, "an-entirely-new-one")
      assert_equal 200, status
    end

    def test_trying_old_passwords_is_stopped_and_short_new_ones_are_no_tries
      sign_in(EMAIL)
      change = ->(old, new) { send_json(:post, "/api/session/password", "password" => old, "new_password" => new) }
      9.times { change.call(PASSWORD, "short") }
      8.times { change.call("not the one", "an-entirely-new-one") }
      assert_equal 8, DATABASE[:tries].where(kind: "old password").count
      Server::Rates::COUNTERS.clear
      change.call(PASSWORD, "an-entirely-new-one")
      assert_problem(429)
    end

    def test_trying_passwords_is_stopped_for_the_address_in_all_processes
      40.times do |index|
        Server::Rates::COUNTERS.clear
        sign_in("nobody#{index}@reedbank.example")
      end
      Server::Rates::COUNTERS.clear
      sign_in(EMAIL)
      assert_problem(429)
      assert_match(/wait 10 minutes/, answer["detail"])
    end

    def test_a_name_leads_here_only_where_it_is_configured
      [nil, "kippen.example"].each do |host|
        app = Server.rack(DATABASE, secret: "s" * 64, host:)
        env = Rack::MockRequest.env_for("/api/health", "HTTP_HOST" => "kippen.example", "HTTP_X_FORWARDED_PROTO" => "https")
        assert_equal host ? 200 : 403, app.call(env).first
      end
    ensure
      Server::App.set :demo, true
    end

    def test_only_a_proxy_that_is_configured_says_for_whom_it_asks
      env = { "REMOTE_ADDR" => "10.0.0.5", "HTTP_X_FORWARDED_FOR" => "1.2.3.4, 192.168.1.66" }
      assert_equal "10.0.0.5", Server::Address.of(env)
      assert_equal "192.168.1.66", Server::Address.of(env, proxy: "10.0.0.5")
      assert_equal "10.0.0.5", Server::Address.of(env, proxy: "10.0.0.6")
      assert_equal "10.0.0.5", Server::Address.of(env.except("HTTP_X_FORWARDED_FOR"), proxy: "10.0.0.5")
    end

    def test_a_change_without_the_pages_token_is_refused
      sign_in(EMAIL)
      post("/api/clients", JSON.generate(DEMO), "CONTENT_TYPE" => "application/json")
      assert_problem(403)
      assert_equal 0, DATABASE[:clients].where(service_id: @service).count
    end

    def test_a_form_of_another_site_is_refused
      sign_in(EMAIL)
      post("/api/clients", JSON.generate(DEMO), "CONTENT_TYPE" => "application/json",
                                                "HTTP_ORIGIN" => "https://elsewhere.example", "HTTP_X_CSRF_TOKEN" => csrf)
      assert_equal 403, status
    end

    def test_trying_is_limited_for_an_address
      # They are counted by the minute: here one that has just begun, however long the tries take.
      Server::Rates::COUNTERS.clear
      Time.stub(:now, Time.at(Time.now.to_i / 60 * 60)) do
        assert_equal [403, 429], Array.new(31) { sign_in("nobody@reedbank.example") && status }.last(2)
      end
      assert_match(/go on in 60 s/, answer["detail"])
    end

    def test_the_demo_opens_by_one_press_only_where_it_was_started_with_it
      service = store.demo_service || store.add_service("Demo", demo: true)
      unless store.demo_account("lead")
        store.add(service, email: "demo@reedbank.example", name: "Demo lead", role: "lead", password: PASSWORD)
      end
      send_json(:post, "/api/session/demo", "role" => "lead")
      assert account["demo"]
      Server::App.set :demo, false
      clear_cookies
      refute ask("/api/session")["demo"]
      send_json(:post, "/api/session/demo", "role" => "lead")
      assert_problem(403)
    ensure
      Server::App.set :demo, true
    end

    # Whoever makes an account in the demo learns nothing of a service of one's own, and its people are not led astray.
    def test_an_address_may_have_an_account_in_the_demo_too
      demo = store.demo_service || store.add_service("Demo", demo: true)
      store.add(demo, email: EMAIL, name: "Double", role: "lead", password: "#{PASSWORD}, demo")
      store.add(demo, email: "only@demo.example", name: "Only there", role: "lead", password: PASSWORD)
      assert_raises(Server::Store::Accounts::Taken) do
        DATABASE.transaction(savepoint: true) do
          store.add(demo, email: EMAIL.upcase, name: "Again", role: "viewer", password: PASSWORD)
        end
      end
      { EMAIL => false, "only@demo.example" => true }.each do |email, there|
        sign_in(email)
        assert_equal [email, there], account.values_at("email", "demo")
        clear_cookies
      end
      sign_in(EMAIL, "#{PASSWORD}, demo")
      assert_problem(401)
    end

    def test_the_first_service_is_made_once
      DATABASE[:services].where(demo: false).delete
      assert ask("/api/session")["first"]
      first = { "service" => "Withy Bed", "name" => "Una", "email" => "una@withy.example", "password" => PASSWORD }
      send_json(:post, "/api/services", first)
      assert_equal 201, status, last_response.body
      assert_equal "lead", account["role"]
      send_json(:post, "/api/services", first.merge("email" => "other@withy.example"))
      assert_problem(403)
    end
  end
end
