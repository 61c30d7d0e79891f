# frozen_string_literal: true

require_relative "helper"

module Kippen
  # The worker's process, which bin/start waits for where it is told to stop.
  class WorkerTest < Minitest::Test
    WORKER = File.join(Server::ROOT, "server", "jobs", "worker.rb")
    PATIENCE_S = 60

    # What is loaded early on.
    def loading?(process) = File.read("/proc/#{process}/maps").include?("parser.so")

    # Where it was lost, whoever stopped Kippen in its first seconds waited for ever.
    def test_told_to_stop_while_it_still_loads_it_ends_once_it_is_there
      process = Process.spawn(RbConfig.ruby, WORKER, %i[out err] => File::NULL)
      patience = Time.now + PATIENCE_S
      sleep 0.01 until loading?(process) || Time.now > patience
      Process.kill("TERM", process)
      status = Process.wait2(process).last
      assert_predicate status, :success?
    end
  end
end
