# frozen_string_literal: true

require "socket"

module Kippen
  # The application in processes of its own, for the same stories: KIPPEN_SERVERS=workers is one server
  # with two workers, KIPPEN_SERVERS=processes two servers on one database, taken by turns.
  module Servers
    PUMA = ["bundle", "exec", "puma", "-C", File.expand_path("../../server/puma.rb", __dir__)].freeze
    PATIENCE_S = 60

    module_function

    # Starts what is asked for; returns the address to visit, or nil where nothing is.
    def start(how)
      case how
      when nil, "" then nil
      when "workers" then "http://127.0.0.1:#{serve("KIPPEN_WORKERS" => "2")}"
      when "processes" then "http://127.0.0.1:#{by_turns(Array.new(2) { serve })}"
      else abort "KIPPEN_SERVERS is workers or processes, not #{how}"
      end
    end

    # A server; returns its port once it answers.
    def serve(more = {})
      port = TCPServer.open("127.0.0.1", 0) { |server| server.addr[1] }
      environment = { "PORT" => port.to_s, "KIPPEN_SECRET" => "s" * 64, "KIPPEN_DEMO" => "yes", "RACK_ENV" => "test" }.merge(more)
      process = Process.spawn(environment, *PUMA, out: File::NULL, pgroup: true)
      Minitest.after_run { Process.kill("TERM", -process) }
      wait(port)
      port
    end

    def wait(port)
      patience = Process.clock_gettime(Process::CLOCK_MONOTONIC) + PATIENCE_S
      begin
        TCPSocket.open("127.0.0.1", port).close
      rescue SystemCallError
        abort "the server does not answer" if Process.clock_gettime(Process::CLOCK_MONOTONIC) > patience
        sleep 0.1
        retry
      end
    end

    # Every connection goes to the next of the servers; returns the port it comes in at.
    def by_turns(ports)
      server = TCPServer.open("127.0.0.1", 0)
      turns = ports.cycle
      Thread.new { loop { pass_on(server.accept, TCPSocket.open("127.0.0.1", turns.next)) } }
      server.addr[1]
    end

    def pass_on(one, other)
      [[one, other], [other, one]].each do |from, to|
        Thread.new do
          IO.copy_stream(from, to)
        rescue SystemCallError, IOError
          nil
        ensure
          [from, to].each { |socket| socket.close unless socket.closed? }
        end
      end
    end
    private_class_method :serve, :wait, :by_turns, :pass_on
  end
end
