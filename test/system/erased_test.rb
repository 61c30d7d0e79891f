# frozen_string_literal: true

require_relative "starting"
require "pg"

module Kippen
  # What was erased, and what was never to be written down, is looked for as somebody would who has the disk.
  class ErasedTest < Minitest::Test
    include Starting

    NAME = "Quillonde Marrowfen"
    NOTE = "Sedgewhisper moved the thumb"
    EMAIL = "tarnfeather@saltmarsh-row.example"
    PASSWORD = "the-heron-stands-still"

    def lead = @lead ||= visitor.sign_in("lead")

    def connect
      password = File.read(File.join(@data, "postgres", "password"))
      port = File.read(File.join(@data, "postgres", "data", "postmaster.pid")).lines[3]
      PG.connect(host: "127.0.0.1", port: Integer(port, 10), user: "kippen", password:, dbname: "kippen")
    end

    def holding(word, *folders)
      `grep -rla --binary-files=text #{word} #{folders.map { |folder| File.join(@data, folder) }.join(" ")}`.lines(chomp: true)
    end

    # A client with all that can be said of it, and statements that fail with its words in them.
    def leave_traces
      fitting = JSON.parse(File.read(File.join(Server::ROOT, "test", "fixtures",
                                               "phone.fitting.json"))).merge("client" => { "name" => NAME })
      id = JSON.parse(lead.post("/api/clients", fitting).body)["id"]
      change = { "kind" => "timing", "button" => "pocket-phone/edge", "setting" => "long_press_ms", "value" => 700 }
      assert_equal "201", lead.post("/api/clients/#{id}/revisions", "opened_on" => 1, "change" => change, "note" => NOTE).code
      account = { "email" => EMAIL, "name" => "Tarnfeather", "role" => "viewer", "password" => PASSWORD }
      assert_equal %w[201 409], Array.new(2) { lead.post("/api/accounts", account).code }
      fail_in_the_database
      id
    end

    # As a fault of Kippen's own would.
    def fail_in_the_database
      connection = connect
      connection.exec_params("INSERT INTO clients (service_id, name) VALUES ($1, $2)", [nil, NAME])
    rescue PG::NotNullViolation
      assert_raises(PG::Error) { connection.exec("INSERT INTO clients (service_id, name) VALUES (NULL, '#{NAME}')") }
    ensure
      connection.close
    end

    def test_what_was_erased_is_nowhere_and_the_logs_tell_of_nobody
      start
      id = leave_traces
      refute_empty holding("Quillonde", "postgres/data"), "it can be found while it is there"
      connect.tap { |connection| connection.exec("ANALYZE") }.close
      assert_equal "200", lead.post("/api/clients/#{id}/erasure", "name" => NAME).code
      dump, = Open3.capture2({ "PGPASSWORD" => File.read(File.join(@data, "postgres", "password")) },
                             "#{Dir["/usr/lib/postgresql/*/bin"].max}/pg_dump", "-h", "127.0.0.1", "-U", "kippen", "-p",
                             connect.port.to_s, "kippen")
      assert_includes dump, EMAIL
      %w[Quillonde Sedgewhisper].each { |word| refute_includes dump, word }
      connect.tap { |connection| ["VACUUM FULL", "CHECKPOINT"].each { |statement| connection.exec(statement) } }.close
      %w[Quillonde Sedgewhisper].each { |word| assert_empty holding(word, "postgres/data/base", "postgres/data/global") }
      assert_logs_tell_of_nobody
    end

    def assert_logs_tell_of_nobody
      logs = Dir[File.join(@data, "{log,postgres/log}", "*"), File.join(@data, "postgres", "server.log")]
      assert_includes logs.map { |file| File.read(file) }.join, "violates not-null constraint", "that something failed is told"
      words = ["Quillonde", "Sedgewhisper", "tarnfeather", "argon2id", PASSWORD]
      words.each { |word| assert_empty holding(word, "log", "postgres/log", "postgres/server.log") }
    end
  end
end
