# frozen_string_literal: true

# One process on loopback; PORT comes from bin/start.
bind "tcp://127.0.0.1:#{ENV.fetch("PORT")}"
threads 1, 5
rackup File.join(__dir__, "config.ru")
quiet
raise_exception_on_sigterm false
