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

      # Without the request: its address may tell of a client.
      def unknown_error(error, _req = nil, text = "Unknown error")
        return super(error, nil, text) if Seldom.due?([error.class, text])

        rest(error)
      end

      # What came is nobody's but the sender's.
      def parse_error(error, _req)
        return unless Seldom.due?([error.class, :parse])

        stderr.puts "#{Time.now.utc.strftime("%FT%TZ")} #{error.class}: what came can't be read"
      end

      private

      def rest(error)
        sleep REST_S if error.is_a?(Errno::EMFILE) || error.is_a?(Errno::ENFILE)
      end
    end
  end
end
