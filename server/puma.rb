# frozen_string_literal: true

# One process on loopback; PORT and KIPPEN_LISTEN come from bin/start.
bind "tcp://127.0.0.1:#{ENV.fetch("PORT")}"
# Besides, on purpose: an address of this machine at which a client's own device may join.
bind "tcp://#{ENV.fetch("KIPPEN_LISTEN", nil)}" if ENV["KIPPEN_LISTEN"].to_s != ""
threads 1, 5
rackup File.join(__dir__, "config.ru")
quiet
raise_exception_on_sigterm false
