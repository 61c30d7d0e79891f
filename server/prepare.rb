# frozen_string_literal: true

# Brings the database up to date, and loads the demo where it is asked for and
# nothing is there yet. Usage: ruby server/prepare.rb [--demo]
require_relative "boot"

database = Kippen::Server::Store.connect(ENV.fetch("DATABASE_URL"))
Kippen::Server::Store.migrate(database)

if ARGV.include?("--demo") && database[:clients].empty?
  Dir[File.join(Kippen::Server::ROOT, "demo", "*.fitting.json")].each do |file|
    fitting = Kippen::Formats::FittingJson.read(File.read(file))
    Kippen::Server::Store::Clients.new(database).add(fitting, author: "Saltmarsh Row", note: "Demo")
  end
end
database.disconnect
