# frozen_string_literal: true

require_relative "rack"

run Kippen::Server.rack(Kippen::Server::Store.connect(ENV.fetch("DATABASE_URL")))
