# frozen_string_literal: true

require_relative "starting"
require "pg"

module Kippen
  # Backed up, restored and updated, on data of its own.
  class BackupTest < Minitest::Test
    include Starting

    def file = File.join(@data, "thursday.dump")

    def run_script(name, *options, env: {})
      Open3.capture2e(environment.merge(env), File.join(ROOT, "bin", name), *options).then do |said, status|
        [status.exitstatus, said]
      end
    end

    # A session each time: a restore ends all.
    def lead = visitor.sign_in("lead")
    def clients = lead.get("/api/clients")["clients"]

    def erase(client) = assert_equal("200", lead.post("/api/clients/#{client["id"]}/erasure", "name" => client["name"]).code)

    def test_a_backup_is_whole_and_what_was_erased_since_stays_erased
      process, = start
      before = clients
      on_database("INSERT INTO carriers (client_id, service_id, device, memory) SELECT id, service_id, 'edge', '{}' FROM clients")
      status, said = run_script("backup", file)
      assert_equal [0, "In #{file}: 4 clients, 4 revisions, 3 accounts, read back.\n"], [status, said]
      assert_equal "600", format("%o", File.stat(file).mode & 0o777)
      assert_equal [1, "backup: #{file} is there already; --overwrite writes over it\n"], run_script("backup", file)
      assert_one_at_a_time
      assert_room_is_looked_for
      assert_what_was_left_behind_goes { assert_equal 0, run_script("backup", file, "--overwrite").first }
      assert_equal [1, "restore: Kippen is running on #{@data}; stop it first\n"], run_script("restore", file)
      gone, changed = before.first(2)
      erase(gone)
      fitting = JSON.parse(File.read(File.join(ROOT, "test", "fixtures", "phone.fitting.json")))
      assert_equal "201", lead.post("/api/clients", fitting).code
      stop(process)
      assert_what_is_no_backup_changes_nothing
      assert_equal [1, "restore: there are 4 clients in #{@data}; --overwrite puts the back-up in their place\n"],
                   run_script("restore", file)
      status, said = run_script("restore", file, "--overwrite")
      assert_equal [0, "Restored: 3 clients, 3 revisions, 3 accounts. 1 that had been erased since were erased again.\n"],
                   [status, said]
      start
      assert_equal [%w[4 t]], on_database("SELECT count(*), bool_and(unasked) FROM carriers"),
                   "what is on a device is asked anew, that of the erased one too"
      assert_equal %w[kippen postgres], databases
      assert_empty Dir[File.join(@data, "{unfinished,*.part}")]
      assert_equal (before.map { |one| one["id"] } - [gone["id"]]).sort, clients.map { |one| one["id"] }.sort
      assert_equal changed["name"], clients.find { |one| one["id"] == changed["id"] }["name"]
    end

    # Rows of what a statement gives.
    def on_database(statement)
      connection = database
      connection.exec(statement).values
    ensure
      connection&.close
    end

    def assert_what_is_no_backup_changes_nothing
      File.write(half = File.join(@data, "half.dump"), File.binread(file, File.size(file) / 2))
      File.write(none = File.join(@data, "none.dump"), "nothing")
      assert_equal [1, "restore: #{none} is no back-up of Kippen\n"], run_script("restore", none, "--overwrite")
      status, said = run_script("restore", half, "--overwrite")
      assert_equal 1, status
      assert_match(/could not be read whole; nothing was changed/, said)
    end

    # A back-up or restore that was killed leaves half a file and a copy, in which stands what was erased since.
    def assert_what_was_left_behind_goes
      half = File.join(@data, "friday.dump.part")
      File.write(half, "PGDMP")
      File.write(File.join(@data, "unfinished"), half)
      database.tap { |connection| connection.exec("CREATE DATABASE kippen_restored") }.close
      yield
      refute_path_exists half
      assert_equal %w[kippen postgres], databases
    end

    def databases
      database.then do |one|
        one.exec("SELECT datname FROM pg_database WHERE NOT datistemplate ORDER BY 1").column_values(0).tap { one.close }
      end
    end

    def assert_one_at_a_time
      File.open(File.join(@data, "backup.lock"), "w") do |lock|
        lock.flock(File::LOCK_EX)
        assert_equal [1, "backup: another back-up or restore is at work in #{@data}; wait for it\n"],
                     run_script("backup", file, "--overwrite")
      end
    end

    def assert_room_is_looked_for
      status, said = run_script("backup", file, "--overwrite", env: instead_of("df" => "echo F; echo /dev/full 9 9 51200 9% /"))
      assert_equal 1, status
      assert_match(/\Abackup: only 50 MB free in \S+, 1\d\d MB are needed; nothing was begun\n\z/, said)
    end

    def database
      password = File.read(File.join(@data, "postgres", "password"))
      port = File.readlines(File.join(@data, "postgres", "data", "postmaster.pid"))[3]
      PG.connect(host: "127.0.0.1", port: Integer(port, 10), user: "kippen", password:, dbname: "kippen")
    end

    # As it was before the last step of the database, with a client of before there were accounts.
    def make_older
      connection = database
      connection.exec("ALTER TABLE accounts DROP CONSTRAINT accounts_email_in_service, ADD CONSTRAINT accounts_email_key " \
                      "UNIQUE (email)")
      connection.exec("ALTER TABLE services DROP COLUMN waiting, DROP COLUMN reach")
      connection.exec("DROP TABLE screens, evidence, fits, trials, sittings, kinds, hand_ticks, handovers, carriers, proposals")
      connection.exec("ALTER TABLE clients DROP COLUMN kinds, DROP COLUMN offered, DROP COLUMN works_by")
      connection.exec("ALTER TABLE joins DROP COLUMN lists, DROP COLUMN who")
      connection.exec("DROP INDEX streams_started_at_index, audit_at_index")
      connection.exec("ALTER TABLE tiles RENAME COLUMN story TO tile")
      connection.exec("UPDATE schema_info SET version = 11")
      id = connection.exec("UPDATE clients SET created_at = created_at - interval '1 year' WHERE name LIKE 'Bram%' RETURNING " \
                           "id").getvalue(0, 0)
      connection.close
      id
    end

    def test_an_update_is_backed_up_and_what_was_there_before_accounts_is_nobodys_demo
      process, = start
      old = make_older
      stop(process)
      Array.new(3) do |index|
        FileUtils.mkdir_p(File.join(@data, "backups")) &&
          FileUtils.touch(File.join(@data, "backups", "before-update-2020010#{index}T000000.dump"))
      end
      _, said = start
      assert_match(/Before the update all was backed up to .*: 4 clients, 4 revisions, 3 accounts\./, said)
      kept = Dir.children(File.join(@data, "backups")).sort
      assert_equal 3, kept.size
      refute_includes kept, "before-update-20200100T000000.dump"
      assert_equal 3, clients.size, "the demo does not have it"
      own = visitor
      given = { "service" => "Reedbank", "name" => "Lead", "email" => "lead@reedbank.example",
                "password" => "quiet-estuary-morning" }
      assert_equal "201", own.post("/api/services", given).code
      assert_equal([old], own.get("/api/clients")["clients"].map { |one| one["id"] })
    end
  end
end
