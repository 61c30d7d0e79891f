# frozen_string_literal: true

require "roda"
require "rodauth"
require "rack/session"

module Kippen
  module Server
    # Signing in and out, by Rodauth: argon2, lock-out after failed tries, sessions that
    # end when nobody uses them and at the latest after a day's work, sign-out everywhere.
    # Stands before the API as middleware; what is not its own goes on to the API.
    class SignIn < Roda
      PATH = "/api/session"
      OWN = %w[sign-in sign-out password].map { |name| "#{PATH}/#{name}" }.freeze
      FAILED_TRIES = 8
      LOCKED_MINUTES = 15
      IDLE_SECONDS = 2 * 3600
      LIFETIME_SECONDS = 12 * 3600
      # How often the use of a session is written down.
      NOTED_SECONDS = 60
      LEAST_PASSWORD = 10

      plugin :middleware

      # What a password is held against where there is no account: it takes as long.
      NOBODY = Store::Accounts.hash_of("nobody has this one")

      # Of Rodauth's answer, a problem where it tells an error. Of a sign-in it says nothing of which was wrong.
      def self.problem(hash, status, path)
        if path.end_with?("/sign-in")
          return Problem.of(status,
                            [hash["error"], *(Words.say(:wrong_secret) if status == 401)].join(". "))
        end

        field, message = hash["field-error"]
        faults = field ? [Fault.new("/#{field}", message)] : []
        Problem.of(status, hash["error"], faults:)
      end

      # Out of a session that has ended; the page's token goes on, for a wrong password is followed by another try.
      def leave(rodauth)
        token = session["csrf"]
        rodauth.clear_session
        session["csrf"] = token
      end

      # rubocop:disable Metrics -- Rodauth is told everything in one block
      # database – where the accounts are; secret – for session keys; returns a middleware class
      def self.for(database, secret)
        Class.new(self) do
          plugin :json_parser, content_type_regexp: %r{\Aapplication/json\b}i
          plugin :rodauth, json: :only do
            enable :json, :login, :logout, :lockout, :argon2, :active_sessions, :change_password
            db database
            hmac_secret secret
            prefix PATH
            login_route "sign-in"
            logout_route "sign-out"
            change_password_route "password"
            unlock_account_route nil
            unlock_account_request_route nil
            require_mail? false
            # Only ever a name that rack.rb lets through.
            domain { request.host }
            # Signing in anew while signed in is no mistake.
            already_logged_in { nil }
            require_bcrypt? false

            accounts_table :accounts
            login_column :email
            login_param "email"
            account_password_hash_column :password_hash
            account_status_column :status
            account_open_status_value Store::Accounts::OPEN
            skip_status_checks? false
            normalize_login { |login| login.to_s.strip.downcase }

            max_invalid_logins FAILED_TRIES
            set_deadline_values? true
            account_lockouts_deadline_interval minutes: LOCKED_MINUTES
            account_lockouts_email_last_sent_column nil
            session_inactivity_deadline IDLE_SECONDS
            session_lifetime_deadline LIFETIME_SECONDS
            global_logout_param "everywhere"

            new_password_param "new_password"
            require_password_confirmation? false
            change_password_requires_password? true
            password_minimum_length LEAST_PASSWORD
            password_too_short_message { Words.say(:password_too_short, count: LEAST_PASSWORD) }
            invalid_password_message { Words.say(:wrong_secret) }
            no_matching_login_message { Words.say(:wrong_secret) }
            unverified_account_message { Words.say(:wrong_secret) }
            no_matching_login_error_status 401
            unopen_account_error_status 401
            login_error_flash { Words.say(:status_401) }
            login_lockout_error_flash { Words.say(:account_closed, count: LOCKED_MINUTES) }
            lockout_error_status 403
            active_sessions_error_flash { Words.say(:session_ended) }
            require_login_error_flash { Words.say(:sign_in_first) }
            login_required_error_status 401
            change_password_error_flash { Words.say(:password_not_changed) }
            login_notice_flash { Words.say(:signed_in) }
            logout_notice_flash { Words.say(:signed_out) }
            change_password_notice_flash { Words.say(:password_changed) }
            # Whoever was signed in with the old password elsewhere no longer is.
            after_change_password do
              remove_all_active_sessions_except_current
              Store::News.rights(db)
            end
            after_login { Store::Audit.sign_in(db, account, Words.say(:did_sign_in)) }
            # Whether there is an account is told by nothing: not by time, by words, or by being locked.
            after_no_matching_login do
              tries = Store::Tries.new(db)
              login = param(login_param).strip.downcase
              show_lockout_page if tries.locked?(login, most: FAILED_TRIES, minutes: LOCKED_MINUTES)
              Argon2::Password.verify_password(param(password_param), NOBODY)
              tries.tried(login)
            end
            after_account_lockout { Store::Audit.sign_in(db, account, Words.say(:did_lock_out, count: FAILED_TRIES)) }

            json_response_body do |hash|
              if hash.key?("error")
                status = response.status || 400
                response["content-type"] = Problem::TYPE
                JSON.generate(SignIn.problem(hash, status, request.path))
              else
                JSON.generate("done" => hash["success"])
              end
            end

            after_logout { Store::News.rights(db) }

            auth_class_eval do
              # One's own service before the demo, where an address has an account in both.
              def _account_from_login(login)
                open = account_table_ds.where(login_column => login, account_status_column => account_open_status_value)
                open.exclude(service_id: db[:services].where(demo: true).select(:id)).first || open.first
              end

              # Under what this session is kept, as long as it lasts.
              def session_digests = compute_hmacs(session[session_id_session_key].to_s)

              # A use is noted once a minute at most: every press on the bench asks.
              def currently_active_session?
                key = session[session_id_session_key]
                recent = Sequel[:last_use] > Sequel.date_sub(Sequel::CURRENT_TIMESTAMP, seconds: NOTED_SECONDS)
                young = Sequel[:created_at] > Sequel.date_sub(Sequel::CURRENT_TIMESTAMP, seconds: LIFETIME_SECONDS)
                return true if key && active_sessions_ds.where(session_id: compute_hmacs(key)).where(recent & young).any?

                super
              end
            end
          end

          route do |r|
            env["kippen.rodauth"] = rodauth
            here = rodauth.logged_in? && rodauth.currently_active_session?
            if OWN.include?(r.path)
              leave(rodauth) if rodauth.logged_in? && !here
              r.on("api/session") { r.rodauth }
            end
            # One that has ended stays in its cookie, where it is of no use, until somebody signs in: see SessionCookie.
            env["kippen.account"] = Store::Accounts.new(database).open(rodauth.session_value) if here
            nil
          end
        end
      end
      # rubocop:enable Metrics
    end
  end
end
