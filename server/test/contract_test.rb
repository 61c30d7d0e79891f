# frozen_string_literal: true

require_relative "helper"

module Kippen
  # What is made out of the contract is made once, and is still that of what was asked.
  class ContractTest < Minitest::Test
    CONTRACT = Server::Contract.read

    def asked(verb, path) = CONTRACT.request(Rack::Request.new(Rack::MockRequest.env_for(path, method: verb)))

    def test_an_operation_and_its_schemas_are_made_once
      [["POST", "/api/session/sign-in"], ["POST", "/api/clients/7/revisions"]].each do |verb, path|
        first, again = Array.new(2) { asked(verb, path).operation }
        assert_same first, again, path
        assert_same first.request_body.schema_for("application/json"), again.request_body.schema_for("application/json")
        answers = Array.new(2) { first.response_for(422, "application/problem+json").content_schema }
        assert_same(*answers)
        refute_nil answers.first
      end
    end

    def test_each_is_still_its_own
      %w[GET POST].each { |verb| assert_equal "#{verb} /api/clients", asked(verb, "/api/clients").operation.name }
      assert_equal({ "client" => "8" }, asked("GET", "/api/clients/8/lanes").path_parameters)
      refute_same(*[201, 422]
        .map { |status| asked("POST", "/api/clients").operation.response_for(status, "application/problem+json") })
      assert_nil asked("DELETE", "/api/clients").operation
      refute_predicate asked("GET", "/api/nothing"), :known_path?
    end
  end
end
