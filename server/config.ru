# frozen_string_literal: true

require_relative "rack"

database = Kippen::Server::Store.connect(ENV.fetch("DATABASE_URL"))
run Kippen::Server.rack(database, secret: ENV.fetch("KIPPEN_SECRET"), demo: ENV["KIPPEN_DEMO"] == "yes",
                                  listen: ENV["KIPPEN_LISTEN"].to_s.empty? ? nil : ENV.fetch("KIPPEN_LISTEN", nil))
