# frozen_string_literal: true

require_relative "helper"

module Kippen
  # What is kept of a session in its cookie, and when it is sent.
  class SessionCookieTest < ServerTest
    EMAIL = "door@reedbank.example"

    def setup
      super
      clear_cookies
      store.add(@service, email: EMAIL, name: "A door", role: "lead", password: PASSWORD)
    end

    def test_the_cookie_is_out_of_reach_of_scripts_and_of_plain_http_where_https_is_there
      get "/api/session", {}, "HTTPS" => "on"
      assert_match(/; secure/i, last_response["set-cookie"])
      clear_cookies
      ask("/api/session")
      assert_match(/; httponly; samesite=lax/i, last_response["set-cookie"])
    end

    # An answer to what was asked before somebody signed in may come after theirs: it must not bring the session of then.
    def test_only_a_changed_session_is_sent_so_that_no_late_answer_takes_one_away
      sign_in(EMAIL)
      signed_in = last_response["set-cookie"][/kippen.session=[^;]+/]
      token = csrf
      ask("/api/clients")
      assert_nil last_response["set-cookie"]
      DATABASE[:account_active_session_keys].delete
      %w[/api/clients /api/session].each do |path|
        ask(path)
        assert_nil last_response["set-cookie"], path
      end
      2.times do
        # With the token that the page has, whether the password is right or not.
        wrong = JSON.generate("email" => EMAIL, "password" => "not-the-password")
        post("/api/session/sign-in", wrong, "CONTENT_TYPE" => "application/json", "HTTP_X_CSRF_TOKEN" => token)
        assert_problem(401)
      end
      sign_in(EMAIL)
      refute_equal signed_in, last_response["set-cookie"][/kippen.session=[^;]+/]
      refute_nil ask("/api/session")["account"]
      # It was made with the session: nothing is sent anew for it.
      assert_nil last_response["set-cookie"]
    end
  end
end
