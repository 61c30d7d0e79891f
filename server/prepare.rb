# frozen_string_literal: true

# Brings the database up to date, and loads the demo where it is asked for and
# nothing is there yet. Usage: ruby server/prepare.rb [--demo]
require_relative "boot"
require_relative "demo"

database = Kippen::Server::Store.connect(ENV.fetch("DATABASE_URL"))
Kippen::Server::Store.migrate(database)

Kippen::Server::Demo.load(database) if ARGV.include?("--demo") || Kippen::Server::Demo.begun?(database)
database.disconnect
