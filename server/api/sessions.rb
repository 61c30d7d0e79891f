# frozen_string_literal: true

module Kippen
  module Server
    # Who is signed in; the demo's sign-in by one press; the first account of a service.
    # Signing in and out themselves are Rodauth's, see auth/sign_in.rb.
    module SessionRoutes
      def self.registered(app)
        app.get("/api/session") do
          told = SessionRoutes.render(account, env["rack.session"], demo: demo_offered?, own: accounts.own_service?)
          json(told.merge("ends_at" => account && Times.iso(SessionRoutes.ends_at(database, account, rodauth))))
        end

        app.post("/api/session/demo") do
          problem(403, Words.say(:no_demo)) unless demo_offered?
          id = accounts.demo_account(sent["role"])
          problem(404, Words.say(:no_demo_account, role: sent["role"])) unless id && rodauth.account_from_id(id)
          rodauth.login_session("demo")
          json("done" => Words.say(:signed_in))
        end

        # Only while no service but the demo is there: whoever starts Kippen is its first lead.
        app.post("/api/services") do
          made = database.transaction do
            # Of several at once, one is the first.
            database.get(Sequel.function(:pg_advisory_xact_lock, 4311))
            problem(403, Words.say(:service_already)) if accounts.own_service?
            service = accounts.first_service(sent["service"])
            accounts.add(service, email: sent["email"], name: sent["name"], role: "lead", password: sent["password"])
          end
          rodauth.account_from_id(made[:id])
          rodauth.login_session("first")
          status 201
          json("done" => Words.say(:signed_in))
        end
      end

      # When one must sign in again, whatever is done meanwhile.
      def self.ends_at(database, account, rodauth)
        began = database[:account_active_session_keys].where(account_id: account.id, session_id: rodauth.session_digests)
          .get(:created_at)
        (began || Time.now) + SignIn::LIFETIME_SECONDS
      end

      def self.render(account, session, demo:, own:)
        { "account" => account && { "name" => account.name, "email" => account.email, "role" => account.role,
                                    "service" => account.service_name, "demo" => account.demo },
          "csrf" => Csrf.of(session), "demo" => demo, "first" => !own, "least_password" => SignIn::LEAST_PASSWORD,
          "idle_s" => SignIn::IDLE_SECONDS }
      end
    end
  end
end
