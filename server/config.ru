# frozen_string_literal: true

require_relative "rack"

database = Kippen::Server::Store.connect(ENV.fetch("DATABASE_URL"))
given = ->(name) { ENV[name].to_s.empty? ? nil : ENV.fetch(name) }
run Kippen::Server.rack(database, secret: ENV.fetch("KIPPEN_SECRET"), demo: ENV["KIPPEN_DEMO"] == "yes",
                                  listen: given.call("KIPPEN_LISTEN"), way_in: given.call("KIPPEN_WAY_IN"),
                                  host: given.call("KIPPEN_HOST"))
