# frozen_string_literal: true

require_relative "committed"

module Kippen
  # What several connections do to each other.
  class CommittedTest < CommittedCase
    def timing(value) = { "kind" => "timing", "button" => "mouse/back", "setting" => "long_press_ms", "value" => value }

    # Connections of the database that wait for somebody else's lock.
    def waiting = DATABASE[:pg_stat_activity].where(datname: Sequel.function(:current_database), wait_event_type: "Lock").count

    def test_two_saves_at_once_come_one_after_the_other
      threads = Array.new(4) do |index|
        Thread.new(other) { |database| 5.times { |time| save(database, timing(500 + (index * 50) + (time * 10))) } }
      end
      threads.each(&:join)
      assert_equal (1..21).to_a, numbers
      assert_equal 21, DATABASE[:clients].where(id: @client).get(:revision)
    end

    def test_what_was_not_saved_is_in_no_cache
      Server::Store::Revisions::READ.forget(@client)
      DATABASE.transaction(rollback: :always) do
        save(DATABASE, timing(770))
        assert_equal 770_000, head.fitting.timing(head.fitting.button("mouse/back")).long_press_us
      end
      assert_nil Server::Store::Revisions::READ.find(@client, 2)
      save(other, timing(880))
      assert_equal 880_000, head.fitting.timing(head.fitting.button("mouse/back")).long_press_us
    end

    # One holds the client while the other waits: what it then makes is made of what the first has saved.
    def test_the_state_is_read_under_the_lock
      second = nil
      save(other, timing(700)) do
        second = Thread.new(other) do |database|
          save(database, { "kind" => "timing", "button" => "mouse/forward", "setting" => "long_press_ms", "value" => 900 })
        end
        wait_until { waiting.positive? }
      end
      second.join
      times = %w[mouse/back mouse/forward].map { |ref| head.fitting.timing(head.fitting.button(ref)).long_press_us / 1000 }
      assert_equal [3, [700, 900]], [head.number, times]
    end

    def test_undo_saves_and_settling_at_once_do_not_lock_each_other_out
      save(DATABASE, SWAP)
      DATABASE[:confirmations].where(client_id: @client).update(until: Time.now - 1)
      work = [->(db) { Server::Store::Confirmations.new(db).settle(@client) }, ->(db) { save(db, timing(510)) },
              lambda { |db|
                Server::Store::Save.new(db).on(@client, author: "U") do
                  Server::Store::History.new(db, @client).then do |history|
                    history.undo(history.steps.first)
                  end
                end
              },
              ->(db) { Server::Store::Confirmations.new(db).confirm(@client, ["mouse/right"]) }]
      threads = work.cycle.first(12).map do |one|
        Thread.new(other) do |database|
          one.call(database)
        rescue Server::Store::Conflict
          nil
        end
      end
      threads.each(&:join)
      assert_equal (1..numbers.size).to_a, numbers
    end

    # It waits for the lock past the deadline: too late.
    def test_a_press_that_waited_past_the_deadline_confirms_nothing
      save(DATABASE, SWAP)
      DATABASE[:confirmations].where(client_id: @client).update(until: Time.now + 0.3)
      press = nil
      save(other, timing(520)) do
        press = Thread.new(other) { |database| Server::Store::Confirmations.new(database).confirm(@client, ["mouse/right"]) }
        wait_until { waiting.positive? }
        sleep 0.4
      end
      assert_nil press.value
      Server::Store::Confirmations.new(DATABASE).settle(@client)
      refute(head.fitting.list("assignments").any? { |item| item["button"] == "mouse/left" })
    end

    # Of one stream, from two processes, in any order: no message is lost and no answer misses what it brought.
    def test_a_stream_taken_by_two_at_once
      streams = Server::Store::Streams.new(DATABASE)
      stream = streams.find(streams.add(Server::Store::Listeners.new(DATABASE).add(@client, "Desk")[:id]))
      messages = (0...40).map do |index|
        Press::Bench::Message.new(number: index + 1, time_us: index * 300_000, source: "mouse/back",
                                  kind: index.even? ? "down" : "up", value: "")
      end
      halves = messages.partition { |one| (one.number / 3).even? }
      threads = halves.map do |half|
        Thread.new(other) do |database|
          benches = Server::Store::Benches.new(database)
          half.each_slice(2) { |some| benches.take(stream, ahead: nil) { some } }
        end
      end
      threads.each(&:join)
      seen = Server::Store::Benches.new(DATABASE).look(stream)
      assert_equal [40, 40, 20], [*seen.standing.values_at(:received, :heard_through), seen.stories.size]
      assert_equal([%w[start end]] * 20, seen.stories.map { |story| story.rows.map { |row| row.outcome.phase } })
    end

    # --- live notices -----------------------------------------------------------

    # Somebody who is signed in.
    def account
      @account ||= store.open(DATABASE[:accounts].where(service_id: @service).get(:id)).tap do |one|
        sessions(one).insert(account_id: one.id, session_id: "mine")
      end
    end

    def sessions(of = @account) = DATABASE[:account_active_session_keys].where(account_id: of.id)

    # A browser that has opened a client's live notices: the text it got so far.
    def listen(live, client)
      ours, theirs = Socket.pair(:UNIX, :STREAM)
      mine = { "kippen.account" => account, "kippen.rodauth" => Struct.new(:session_digests).new(["mine"]) }
      live.call({ "PATH_INFO" => "/api/clients/#{client}/live" }.merge(mine))[1]["rack.hijack"].call(theirs)
      text = +""
      Thread.new { loop { text << ours.readpartial(4096) } rescue EOFError } # rubocop:disable Style/RescueModifier
      text
    end

    def test_a_notice_goes_to_those_who_look_at_that_client_and_none_is_missed_once_it_said_here
      mine = @client
      theirs = add_client(MOUSE)
      live = Server::Live.new(other)
      texts = [mine, theirs].map { |client| listen(live, client) }
      wait_until { texts.all? { |text| text.include?("event: here") } }
      @client = mine
      save(other, timing(530))
      wait_until { texts[0].include?("event: revision") }
      assert_equal([%w[here revision], ["here"]], texts.map { |text| text.scan(/^event: (\w+)/).flatten })
    end

    # The session, the right to the client, the client: with each of them the notices end, and nobody else's do.
    def test_they_end_with_the_session_the_right_and_the_client
      live = Server::Live.new(other)
      account
      store.add(@service, email: "lead@#{@service}.example", name: "L", role: "lead", password: PASSWORD)
      ends = { "signed out" => -> { sessions.delete && Server::Store::News.rights(other) },
               "a viewer who may not look any more" => -> { store.change(@service, account.id, role: "viewer") },
               "closed" => -> { store.change(@service, account.id, open: false) },
               "erased" => -> { Server::Store::Clients.new(other).erase(@client) } }
      ends.each do |what, happens|
        DATABASE[:accounts].where(id: account.id).update(role: "specialist", status: Server::Store::Accounts::OPEN)
        sessions.delete
        sessions.insert(account_id: account.id, session_id: "mine")
        @client = Server::Store::Save.new(DATABASE).first(@service, Fitting.read(MOUSE), author: "L", note: "")
        text = listen(live, @client)
        wait_until { text.include?("event: here") }
        Server::Store::News.rights(other)
        sleep 0.1
        refute_includes text, "event: ended", what
        happens.call
        wait_until { text.include?("event: ended") }
        assert_includes text, "event: ended", what
      end
    end

    def test_when_the_way_to_the_database_breaks_all_are_let_go
      database = other
      live = Server::Live.new(database)
      text = listen(live, @client)
      wait_until { text.include?("event: here") }
      # Of this database: others are tested beside it.
      ways = DATABASE[:pg_stat_activity].where(datname: Sequel.function(:current_database))
        .where(Sequel.lit("query ILIKE 'LISTEN%' OR query LIKE '%kippen\"'"))
      ways.select_map(:pid).each { |pid| DATABASE.get(Sequel.function(:pg_terminate_backend, pid)) }
      again = +""
      wait_until { (again = listen(live, @client)) && sleep(0.3) && again.include?("event: here") }
      assert_includes again, "event: here"
    end

    def begin_sitting(database)
      row = { button: "mouse/left", way: "prompts", whose: "client", offered: %w[click], seed: 1, author: "A" }
      Server::Store::Sittings.new(database).start(@client, **row) { { "number" => 0, "intended" => "click", "why" => "mixed" } }
    end

    # Each ends that of the others; whoever comes last has theirs.
    def test_sittings_begun_and_taken_up_at_once_leave_one_open
      ids = Array.new(4) { begin_sitting(DATABASE)[:id] }
      work = [->(db) { begin_sitting(db) }, *ids.map do |id|
        lambda { |db|
          Server::Store::Sittings.new(db).then do |all|
            all.held(id, others: true) do |row|
              all.open_again(row)
            end
          end
        }
      end]
      threads = work.map { |one| Thread.new(other) { |database| 5.times { one.call(database) } } }
      threads.each(&:join)
      assert_equal 1, DATABASE[:sittings].where(client_id: @client, ended_at: nil).count
      assert_equal 9, DATABASE[:sittings].where(client_id: @client).count
    end

    # What is heard and what is stepped hold each other up; nothing is heard twice, nothing twice kept.
    def test_presses_and_steps_at_once_lose_nothing
      sitting = begin_sitting(DATABASE)
      listener = Server::Store::Listeners.new(DATABASE).add(@client, "Desk")[:id]
      stream = Server::Store::Streams.new(DATABASE).then { |all| all.find(all.add(listener)) }
      press = lambda { |db|
        40.times do |index|
          Server::Store.transaction(db) do
            edges = %w[down up].each_with_index.map do |kind, edge|
              Press::Bench::Message.new(number: index, time_us: (index * 1000) + edge, source: "mouse/left", kind:)
            end
            Server::Store::Sittings.new(db).hear(stream, edges)
          end
        end
      }
      step = lambda { |db|
        store = Server::Store::Sittings.new(db)
        40.times do
          store.held(sitting[:id]) do |row|
            store.keep(row, worked_with: nil)
            store.ask(row, { "number" => row[:prompt]["number"] + 1, "intended" => "click", "why" => "mixed" })
          end
        end
      }
      [press, step].map { |one| Thread.new(other) { |database| one.call(database) } }.each(&:join)
      traces = DATABASE[:trials].where(sitting_id: sitting[:id]).order(:number).select_map(:trace).map(&:to_a)
      left = DATABASE[:sittings].where(id: sitting[:id]).get(:trace).to_a
      assert_equal 40, traces.size
      assert_equal 80, traces.sum(&:size) + left.size
    end
  end
end
