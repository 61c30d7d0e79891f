# frozen_string_literal: true

module Kippen
  module Server
    # Live notices go out by Live; all else goes on.
    class LiveBranch
      def initialize(app, live)
        @app = app
        @live = live
      end

      def call(env) = env["REQUEST_METHOD"] == "GET" && Live::PATH.match?(env["PATH_INFO"]) ? @live.call(env) : @app.call(env)
    end

    # Live notices to browsers, as server-sent events. One thread hears of the database; one alone
    # keeps the browsers and writes to them, so that no request's thread is held and no two notices mix.
    class Live
      PATH = %r{\A/api/clients/(?<client>[0-9a-f-]{36})/live\z}
      HEADERS = { "content-type" => "text/event-stream", "cache-control" => "no-store", "x-accel-buffering" => "no",
                  "connection" => "close" }.freeze
      BEAT_SECONDS = 15
      # What may pile up for a browser that doesn't read; then it is let go and comes back by itself.
      MOST_WAITING = 64_000
      RETRY_MS = 1000
      ENDED = "event: ended\ndata: {}\n\n"

      # Of one session at once; the oldest makes room.
      MOST_A_SESSION = 12

      # One browser that listens to one client's news; watcher – says whether it still may.
      Listener = Struct.new(:io, :client, :watcher, :waiting)

      def initialize(database)
        @database = database
        @lock = Mutex.new
        @work = Queue.new
        @listeners = []
        @listening = false
      end

      def call(env)
        client = PATH.match(env["PATH_INFO"])[:client]
        start
        watcher = Watcher.new(@database, env["kippen.account"], env["kippen.rodauth"].session_digests, client)
        [200, HEADERS.merge("rack.hijack" => ->(io) { @work << [:add, io, client, watcher] }), []]
      end

      private

      # In the process that serves, which may be another than the one that loaded this.
      def start
        @lock.synchronize do
          @threads = [Thread.new { hear }, Thread.new { beat }, Thread.new { write }] unless @threads&.all?(&:alive?)
        end
      end

      # When the way to the database breaks, all browsers are let go: they come back and look anew.
      def hear
        Store::News.listen(@database, ready: -> { @work << [:listening] }) { |notice| @work << [:notice, notice] }
      rescue Sequel::Error
        @work << [:lost]
        sleep 1
        retry
      end

      def beat
        loop do
          sleep BEAT_SECONDS
          @work << [:beat]
        end
      end

      def write
        loop do
          what, *with = @work.pop
          case what
          when :add then add(*with)
          when :listening then listening
          when :lost then lost
          when :beat
            let_go
            tell_all(": here\n\n")
          when :notice then with[0]["what"] == "rights" ? let_go : hand_on(*with)
          end
        end
      end

      # That it is here is said only once nothing can be missed.
      def add(io, client, watcher)
        listener = Listener.new(io, client, watcher, "retry: #{RETRY_MS}\n\n")
        of_session = @listeners.select { |other| other.watcher.session == watcher.session }
        drop(of_session.first) if of_session.size >= MOST_A_SESSION
        @listeners << listener
        @listening ? here(listener) : flush(listener)
      end

      def listening
        @listening = true
        @listeners.dup.each { |listener| here(listener) }
      end

      # From now on nothing is missed: with the newest revision, so that who has it needn't ask. Where that isn't known just now
      # it isn't said.
      def here(listener)
        number = @database[:revisions].where(client_id: listener.client).max(:number)
        send(listener, "event: here\ndata: #{JSON.generate({ "number" => number }.compact)}\n\n")
      rescue Sequel::Error
        send(listener, "event: here\ndata: {}\n\n")
      end

      # Those whose session has ended, or who may not see the client any more.
      def let_go
        @listeners.reject { |listener| listener.watcher.still? }.each do |listener|
          send(listener, ENDED)
          drop(listener)
        end
      rescue Sequel::Error
        # Nothing is known just now; the next beat looks again.
        nil
      end

      def lost
        @listening = false
        @listeners.dup.each { |listener| drop(listener) }
      end

      def tell_all(text) = @listeners.dup.each { |listener| send(listener, text) }

      def hand_on(notice)
        text = "event: #{notice["what"]}\ndata: #{JSON.generate(notice.except("client", "what"))}\n\n"
        @listeners.select { |listener| listener.client == notice["client"] }.each { |listener| send(listener, text) }
      end

      def send(listener, text)
        listener.waiting << text
        listener.waiting.bytesize > MOST_WAITING ? drop(listener) : flush(listener)
      end

      def flush(listener)
        until listener.waiting.empty?
          written = listener.io.write_nonblock(listener.waiting, exception: false)
          return if written == :wait_writable

          listener.waiting.slice!(0, written)
        end
      rescue SystemCallError, IOError
        drop(listener)
      end

      def drop(listener)
        @listeners.delete(listener)
        listener.io.close
      rescue SystemCallError, IOError
        nil
      end
    end
  end
end
