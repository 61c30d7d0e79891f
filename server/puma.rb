# frozen_string_literal: true

require "puma/server"
require_relative "as_problem"
require_relative "seldom"
# On loopback, or – as a second server, on purpose – at an address of this machine at which a client's own device may
# join; PORT and KIPPEN_LISTEN come from bin/start. KIPPEN_WORKERS: so many processes share the work, none but this
# one where it isn't said.
outside = ENV["KIPPEN_LISTEN"].to_s
bind(outside.empty? ? "tcp://127.0.0.1:#{ENV.fetch("PORT")}" : "tcp://#{outside}")
# More would wait for each other: what they do is mostly work.
threads 1, 3
environment ENV.fetch("RACK_ENV", "production")
# What is too large is refused before it is written anywhere.
http_content_length_limit Kippen::Server::AsProblem::MOST_BYTES
# Which are answered and which not is said in one place.
supported_http_methods :any
Puma::LogWriter.prepend Kippen::Server::Seldom
Puma::Server.prepend Kippen::Server::AsProblem
Puma::Client.prepend Kippen::Server::AsProblem::LongerFiles
lowlevel_error_handler { |error, env, status| Kippen::Server::Outermost.broken(error, env, status || 500) }
if (count = Integer(ENV.fetch("KIPPEN_WORKERS", "0"), 10)).positive?
  workers count
  preload_app!
  # A connection belongs to one process.
  before_fork { Kippen::Server::Store.disconnect }
end
rackup File.join(__dir__, "config.ru")
quiet
raise_exception_on_sigterm false
