# frozen_string_literal: true

require_relative "helper"

module Kippen
  # Every operation of the contract, asked by everybody. Made from the contract itself:
  # a new operation is walked without a line added here.
  class ContractWalkTest < ServerTest
    OPERATIONS = OpenapiFirst.load(Server::CONTRACT).operations.freeze
    # One that does not ship.
    KIND = JSON.parse(File.read(File.join(Server::DATA, "kinds", "grip.json"))).merge("id" => "reed-grip").freeze
    ROLES = %w[lead specialist viewer].freeze
    # Who has joined by a code is known by that alone.
    BY_CODE = %w[listener hand].freeze

    def setup
      super
      @own = things(@service, "Own")
      @foreign_service = store.add_service("Withy Bed")
      @foreign = things(@foreign_service, "Foreign")
    end

    # One of everything that a path may speak of, in a service.
    def things(service, name)
      sign_in_as("lead", service:)
      client = send_json(:post, "/api/clients", DEMO.merge("client" => { "name" => name }, "kinds" => [KIND]))["id"]
      listener = send_json(:post, "/api/clients/#{client}/listeners", "name" => name)["id"]
      stream = send_json(:post, "/api/listeners/#{listener}/streams", {})["id"]
      join = send_json(:post, "/api/clients/#{client}/joins", { "host" => "phone" })["id"]
      sitting, fit = add_fit(client)
      proposal = send_json(:post, "/api/clients/#{client}/proposals", {})["proposal"]["id"]
      shelf = send_json(:post, "/api/service/kinds", "document" => KIND.merge("id" => "#{name.downcase}-grip"))["id"]
      account = DATABASE[:accounts].where(service_id: service).get(:id)
      { "client" => client, "listener" => listener, "stream" => stream, "account" => account, "join" => join, "own" => stream,
        "sitting" => sitting, "fit" => fit, "proposal" => proposal, "number" => 0, "kind" => KIND["id"], "shelf" => shelf,
        "shipped" => "grip" }
    end

    # Each operation with the session as it was: one of them ends it.
    def walk(things)
      ask("/api/session")
      session = last_request.env["HTTP_COOKIE"]
      OPERATIONS.each do |operation|
        path = operation.path.gsub(/\{(\w+)\}/) { things.fetch(Regexp.last_match(1)).to_s }
        clear_cookies
        set_cookie(session)
        DATABASE.transaction(rollback: :always, savepoint: true) do
          yield operation, operation["x-who"], path, reply(operation, path)
        end
      end
    end

    def reply(operation, path)
      token = csrf
      public_send(operation.method, path, operation.method == "get" ? {} : "{}",
                  "CONTENT_TYPE" => "application/json", "HTTP_X_CSRF_TOKEN" => token)
      status
    end

    def test_every_operation_says_who_may_ask
      OPERATIONS.each do |operation|
        who = operation["x-who"]
        assert who.is_a?(Array) && !who.empty? &&
               (who - [*ROLES, "anyone", *BY_CODE]).empty?, "#{operation.operation_id}: #{who.inspect}"
      end
    end

    # What changes anything is for specialists and leads, but for signing in, one's own password and joining by code.
    def test_a_viewer_may_change_nothing
      changing = OPERATIONS.reject do |operation|
        operation.method == "get" || operation.path.start_with?("/api/session", "/api/joined")
      end
      changing -= OPERATIONS.select do |operation|
        %w[previewChange addService getFitAlong judgeTiming].include?(operation.operation_id)
      end
      assert_operator changing.size, :>, 5
      changing.each { |operation| refute_includes operation["x-who"], "viewer", operation.operation_id }
    end

    def test_what_is_open_to_anyone_is_named_here
      open = OPERATIONS.select { |operation| operation["x-who"].include?("anyone") }.map(&:operation_id)
      assert_equal %w[addService getSession health join signIn signInToDemo signOut], open.sort
    end

    def test_without_a_session_nothing_answers
      clear_cookies
      walk(@own) do |operation, who, path, status|
        next if who.include?("anyone")

        assert_equal 401, status, "#{operation.method} #{path}: #{last_response.body.slice(0, 200)}"
        refute_includes last_response.body, "Own"
      end
    end

    def test_each_role_gets_what_the_contract_gives_it_and_no_more
      ROLES.each do |role|
        sign_in_as(role)
        show_viewer_the_client
        walk(@own) do |operation, who, path, status|
          next if who.include?("anyone") || (who - BY_CODE).empty? || operation.operation_id == "changePassword"

          what = "#{role}: #{operation.method} #{path}: #{last_response.body.slice(0, 200)}"
          if who.include?(role)
            refute_includes [401, 403, 500], status, what
            refute_equal 404, status, what unless path.include?("/devices/")
          else
            assert_equal 403, status, what
          end
        end
      end
    end

    def test_a_foreign_service_sees_nothing
      ROLES.each do |role|
        sign_in_as(role, service: @foreign_service)
        walk(@own) do |operation, _, path, status|
          # What ships is everybody's.
          next if !operation.path.include?("{") || operation.path.include?("{shipped}") || (operation["x-who"] - BY_CODE).empty?

          assert_equal 404, status, "#{role}: #{operation.method} #{path}"
        end
        %w[/api/clients /api/accounts /api/audit].each do |path|
          ask(path)
          refute_includes last_response.body, "Own", "#{role}: #{path}"
          refute_includes last_response.body, @own["client"], "#{role}: #{path}"
        end
      end
    end

    def test_a_viewer_sees_only_the_clients_named_to_them
      sign_in_as("viewer")
      assert_empty ask("/api/clients")["clients"]
      walk(@own) do |operation, _, path, status|
        assert_equal 404, status, "#{operation.method} #{path}" if operation.path.include?("{client}")
      end
      show_viewer_the_client
      assert_equal([@own["client"]], ask("/api/clients")["clients"].map { |client| client["id"] })
    end

    def show_viewer_the_client
      viewer = DATABASE[:accounts].where(service_id: @service, role: "viewer").get(:id)
      DATABASE[:viewings].insert_conflict.insert(account_id: viewer, client_id: @own["client"]) if viewer
    end
  end
end
