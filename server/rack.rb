# frozen_string_literal: true

require_relative "boot"

module Kippen
  module Server
    # A page elsewhere must not reach Kippen by a name of its own that leads to this machine.
    HOSTS = %w[localhost 127.0.0.1 [::1]].freeze

    # What fits into one packet anyway isn't packed.
    PACKED_FROM = 1_200
    PACKED = %w[application/json application/problem+json text/html text/css text/javascript application/javascript].freeze

    # The whole application for Rack: limits, sign-in, contract, API, pages.
    # secret – 64 characters or more that only this installation knows; demo – may the demo's
    # accounts be opened by one press; listen – "address:port" where this is the server for joining by code;
    # way_in – the folder of a WayIn; host – a name by which a proxy leads here; check_responses – hold every
    # response against the contract too
    def self.rack(database, secret:, demo: false, listen: nil, way_in: nil, host: nil, check_responses: false)
      App.set :database, database
      Jobs.connect(database)
      App.set :demo, demo
      # Where a proxy leads here, devices come by it too.
      App.set :way_in, WayIn.new(host ? nil : way_in, reached: !host.nil?)
      pages = Pages.new
      api = api(database, secret, check_responses)
      Rack::Builder.new do
        use Outermost
        # What is long and is text; live notices and files that are packed already go as they are.
        use Rack::Deflater, include: PACKED, if: ->(_, _, headers, _) { headers["content-length"].to_i > PACKED_FROM }
        use Rack::Protection::HostAuthorization,
            permitted_hosts: [*HOSTS, *host, *listen&.then { |address| address[/\A.+(?=:\d+\z)/] }], logging: false
        use Rack::Protection::HttpOrigin, logging: false
        use Rack::Attack
        use Outside
        run ->(env) { env["PATH_INFO"].start_with?("/api/") ? api.call(env) : pages.call(env) }
      end.to_app
    end

    def self.api(database, secret, check_responses)
      definition = Contract.read
      Rack::Builder.new do
        use OpenapiFirst::Middlewares::ResponseValidation, spec: definition if check_responses
        use Rack::Session::Cookie, **SessionCookie.options(secret)
        use SessionCookie
        use BodyLimit
        use Csrf, allow_if: Csrf::WITHOUT_SESSION
        use OneConnection, database
        use Secrets, database
        use SignIn.for(database, secret)
        use Guard, definition, database
        use LiveBranch, Live.new(database)
        use OpenapiFirst::Middlewares::RequestValidation, spec: definition, error_response: ContractErrors
        run App
      end.to_app
    end
    private_class_method :api
  end
end
