# frozen_string_literal: true

require_relative "helper"

module Kippen
  # The worker's process, which bin/start waits for where it is told to stop.
  class WorkerTest < Minitest::Test
    WORKER = File.join(Server::ROOT, "server", "jobs", "worker.rb")
    PATIENCE_S = 60

    def eventually
      patience = Time.now + PATIENCE_S
      sleep 0.01 until (found = yield) || Time.now > patience
      found
    end

    def spawn = Process.spawn(RbConfig.ruby, WORKER, %i[out err] => File::NULL)
    def children(process) = File.read("/proc/#{process}/task/#{process}/children").split.map(&:to_i)
    def ended?(process) = !File.exist?("/proc/#{process}") || File.read("/proc/#{process}/stat").split[2] == "Z"

    # What is loaded early on.
    def loading?(process) = File.read("/proc/#{process}/maps").include?("parser.so")

    # Where it was lost, whoever stopped Kippen in its first seconds waited for ever.
    def test_told_to_stop_while_it_still_loads_it_ends_once_it_is_there
      process = spawn
      eventually { loading?(process) }
      Process.kill("TERM", process)
      status = Process.wait2(process).last
      assert_predicate status, :success?
    end

    # Neither of its two processes is left without the other.
    def test_where_one_of_both_dies_the_other_ends
      process = spawn
      short = eventually { children(process).first }
      Process.kill("KILL", short)
      assert_predicate Process.wait2(process).last, :success?

      process = spawn
      short = eventually { children(process).first }
      Process.kill("KILL", process)
      Process.wait(process)
      assert(eventually { ended?(short) })
    end
  end
end
