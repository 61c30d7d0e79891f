# frozen_string_literal: true

require_relative "boot"

module Kippen
  module Server
    # A page elsewhere must not reach Kippen by a name of its own that leads to this machine.
    HOSTS = %w[localhost 127.0.0.1 [::1]].freeze

    # The whole application for Rack: limits, contract, API, pages.
    # check_responses – hold every response against the contract too (tests do)
    def self.rack(database, check_responses: false)
      App.set :database, database
      api = Rack::Builder.new do
        use BodyLimit
        use OpenapiFirst::Middlewares::ResponseValidation, spec: CONTRACT if check_responses
        use OpenapiFirst::Middlewares::RequestValidation, spec: CONTRACT, error_response: ContractErrors
        run App
      end.to_app
      pages = Pages.new
      Rack::Builder.new do
        use Rack::Protection::HostAuthorization, permitted_hosts: HOSTS, logging: false
        use Rack::Protection::HttpOrigin, logging: false
        run ->(env) { env["PATH_INFO"].start_with?("/api/") ? api.call(env) : pages.call(env) }
      end.to_app
    end
  end
end
