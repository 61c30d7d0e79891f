# frozen_string_literal: true

module Kippen
  module Server
    # Stands before the server's own log: what goes wrong again and again, as taking in a connection where no
    # file handle is left, is told once a minute, and not tried again at once. Counted in this process.
    module Seldom
      APART_S = 60
      REST_S = 0.2
      LOCK = Mutex.new
      TOLD = {} # rubocop:disable Style/MutableConstant -- when each kind was told last

      def self.due?(kind, now = Process.clock_gettime(Process::CLOCK_MONOTONIC))
        LOCK.synchronize do
          due = TOLD[kind].nil? || now - TOLD[kind] >= APART_S
          TOLD[kind] = now if due
          due
        end
      end

      def unknown_error(error, req = nil, text = "Unknown error")
        return super if Seldom.due?([error.class, text])

        sleep REST_S if error.is_a?(Errno::EMFILE) || error.is_a?(Errno::ENFILE)
      end
    end
  end
end
