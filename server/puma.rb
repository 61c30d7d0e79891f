# frozen_string_literal: true

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
http_content_length_limit 2_000_000
Puma::LogWriter.prepend Kippen::Server::Seldom
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
