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

    # Live notices to browsers, as server-sent events. One thread hears of the database and
    # hands on to all, so that no request's thread is held.
    class Live
      PATH = %r{\A/api/clients/(?<client>[0-9a-f-]{36})/live\z}
      HEADERS = { "content-type" => "text/event-stream", "cache-control" => "no-store", "x-accel-buffering" => "no", "connection" => "close" }.freeze
      BEAT_SECONDS = 15
      # What may pile up for a browser that doesn't read; then it is let go and comes back by itself.
      MOST_WAITING = 64_000
      RETRY_MS = 1000

      # One browser that listens to one client's news.
      Listener = Struct.new(:io, :client, :waiting)

      def initialize(database)
        @database = database
        @listeners = []
        @lock = Mutex.new
      end

      def call(env)
        client = PATH.match(env["PATH_INFO"])[:client]
        start
        [200, HEADERS.merge("rack.hijack" => ->(io) { add(io, client) }), []]
      end

      private

      def add(io, client)
        listener = Listener.new(io, client, "retry: #{RETRY_MS}\n\nevent: here\ndata: {}\n\n")
        @lock.synchronize { @listeners << listener }
        flush(listener)
      end

      def start
        @lock.synchronize do
          next if @threads&.all?(&:alive?)

          @threads = [Thread.new { hear }, Thread.new { beat }]
        end
      end

      # When the way to the database breaks, all browsers are let go: they come back and look anew.
      def hear
        Store::News.listen(@database, ready: -> {}) { |notice| hand_on(notice) }
      rescue Sequel::Error
        @lock.synchronize { @listeners.dup }.each { |listener| drop(listener) }
        sleep 1
        retry
      end

      def beat
        loop do
          sleep BEAT_SECONDS
          @lock.synchronize { @listeners.dup }.each { |listener| send(listener, ": here\n\n") }
        end
      end

      def hand_on(notice)
        text = "event: #{notice["what"]}\ndata: #{JSON.generate(notice.except("client", "what"))}\n\n"
        @lock.synchronize { @listeners.select { |listener| listener.client == notice["client"] } }.each { |listener| send(listener, text) }
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
        @lock.synchronize { @listeners.delete(listener) }
        listener.io.close
      rescue SystemCallError, IOError
        nil
      end
    end
  end
end
