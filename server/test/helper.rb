# frozen_string_literal: true

ENV["RACK_ENV"] = "test"
require_relative "../rack"
require "minitest/autorun"
require "rack/test"

module Kippen
  # A test that talks to the whole application; every answer is held against the
  # contract. Whatever it saves is rolled back.
  class ServerTest < Minitest::Test
    include Rack::Test::Methods

    DATABASE = Server::Store.connect(ENV.fetch("DATABASE_URL"))
    Server::Store.migrate(DATABASE)
    APP = Server.rack(DATABASE, secret: "s" * 64, demo: true, check_responses: true)
    PASSWORD = "quiet-estuary-morning"
    DEMO = JSON.parse(File.read(File.join(Server::ROOT, "test", "fixtures", "phone.fitting.json")))
    EDGE = "pocket-phone/edge"
    ANSWER = { "kind" => "app", "app" => "hearthcall", "command" => "answer" }.freeze
    MARK = { "kind" => "app", "app" => "packetry", "command" => "mark" }.freeze

    def app = APP
    def default_host = "localhost"

    def run
      result = nil
      DATABASE.transaction(rollback: :always, savepoint: true, auto_savepoint: true) { result = super }
      result
    end

    def setup
      Server::Rates::COUNTERS.clear
      @service = store.add_service("Reedbank")
      sign_in_as("specialist")
    end

    def store = Server::Store::Accounts.new(DATABASE)

    # Makes an account of a role where there is none yet, and signs in with it.
    def sign_in_as(role, service: @service)
      clear_cookies
      email = "#{role}@#{service}.example"
      store.add(service, email:, name: "A #{role}", role:, password: PASSWORD) unless DATABASE[:accounts].where(email:).any?
      sign_in(email)
      assert_equal 200, status, last_response.body
    end

    def sign_in(email, password = PASSWORD) = send_json(:post, "/api/session/sign-in", "email" => email, "password" => password)

    def csrf = ask("/api/session")["csrf"]

    def send_json(method, path, value)
      public_send(method, path, value.is_a?(String) ? value : JSON.generate(value),
                  "CONTENT_TYPE" => "application/json", "HTTP_X_CSRF_TOKEN" => csrf)
      answer
    end

    def ask(path, query = {})
      get(path, query)
      answer
    end

    def answer = JSON.parse(last_response.body)

    def status = last_response.status

    def add_client(fitting = DEMO)
      send_json(:post, "/api/clients", fitting)
      assert_equal 201, status, answer
      @client = answer["id"]
    end

    # A sitting of a client with a press of a button in it, and what was fitted to it: [sitting id, fit id].
    def add_fit(client, button = EDGE)
      file = { "kippen" => "trials/1", "button" => { "id" => button }, "offered" => %w[tap],
               "trials" => [{ "intended" => "tap", "trace" => [[0, "down"], [90_000, "up"]] }] }
      sitting = send_json(:post, "/api/clients/#{client}/trials", "button" => button, "file" => file)["id"]
      fit = send_json(:post, "/api/clients/#{client}/fits", "button" => button, "sittings" => [sitting])["id"]
      Server::Jobs::FitTiming.run(fit)
      [sitting, fit]
    end

    def change(change, parent: 1)
      send_json(:post, "/api/clients/#{@client}/revisions", "opened_on" => parent, "change" => change)
    end

    def assign(gesture, action, parent: 1)
      change({ "kind" => "assign", "button" => EDGE, "gesture" => gesture, "action" => action }, parent:)
    end

    def assert_problem(expected, *faults)
      assert_equal expected, status, last_response.body
      assert_equal "application/problem+json", last_response.content_type
      assert_equal(faults, (answer["faults"] || []).map { |fault| fault.values_at("where", "message") }) unless faults.empty?
    end
  end
end
