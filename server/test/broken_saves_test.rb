# frozen_string_literal: true

require_relative "committed"

module Kippen
  # The way to the database breaks in the middle of saving: what was not saved leaves no trace, what was is
  # whole, and an answer says no more than is known.
  class BrokenSavesTest < CommittedCase
    ROUNDS = Integer(ENV.fetch("KIPPEN_ROUNDS", "60"), 10)
    # More statements than any save takes: beyond them nothing is broken.
    MOST_STATEMENTS = 40

    # Breaks the connection that works, right behind its n-th statement.
    class Breaker
      attr_reader :broke

      def initialize(database, through, at)
        @database = database
        @through = through
        @left = at
        @thread = Thread.current
      end

      def info(text)
        # Statements are told once they are done; what is asked before the first write is left in peace.
        return if Thread.current != @thread || broke || text.match?(/pg_terminate_backend/) || (@left -= 1).positive?

        @broke = true
        @through.get(Sequel.function(:pg_terminate_backend, @database.synchronize(&:backend_pid), 1000))
      end

      def error(_text) = nil
    end

    def breaking(at)
      breaker = Breaker.new(DATABASE, @killer ||= other, at)
      DATABASE.loggers << breaker
      yield
    ensure
      DATABASE.loggers.delete(breaker)
    end

    def stored
      DATABASE[:revisions].where(client_id: @client).order(:number).select_map(%i[number parent document]).map do |row|
        [*row[0, 2], row[2].to_hash]
      end
    end

    # All that is kept in this process is as it is stored.
    def assert_nothing_invented(rows)
      rows.each do |number, parent, document|
        assert_equal number - 1, parent || 0
        kept = Server::Store::Revisions::READ.find(@client, number)
        assert_equal document, kept.document if kept
      end
      assert_nil Server::Store::Revisions::READ.find(@client, rows.size + 1)
    end

    # What the pages are told is what is stored.
    def assert_shown(rows)
      assert_equal rows.last[2], ask("/api/clients/#{@client}/fitting")
      assert_equal rows.last[0], ask("/api/clients/#{@client}")["revision"]["number"]
      return if rows.size < 2

      before, after = rows.last(2).map { |row| Fitting.read(row[2]) }
      told = ask("/api/clients/#{@client}/differences", "from" => rows.size - 1, "to" => rows.size)["words"]
      assert_equal Changes::Differences.new(before, after, Server::KNOWLEDGE.of(after)).words, told
    end

    # Ways to save: a change, one that must be confirmed, back, again, and taking that back.
    def ask_for(round, newest)
      at = "/api/clients/#{@client}"
      case round % 5
      when 0, 1 then [:post, "#{at}/revisions", { "opened_on" => newest, "change" => timing(400 + (10 * (round % 100))) }]
      when 2 then [:post, "#{at}/revisions", { "opened_on" => newest, "change" => SWAP }]
      when 3 then [:post, "#{at}/confirmations", { "take_back" => true }]
      else [:post, "#{at}/steps", { "step" => "undo", "revision" => newest }]
      end
    end

    def timing(value) = { "kind" => "timing", "button" => "mouse/back", "setting" => "long_press_ms", "value" => value }

    def send_with(token, method, path, value)
      public_send(method, path, JSON.generate(value), "CONTENT_TYPE" => "application/json", "HTTP_X_CSRF_TOKEN" => token)
    end

    def test_a_save_broken_off_anywhere_leaves_no_trace
      token = csrf
      broken = 0
      ROUNDS.times do |round|
        before = stored
        what = ask_for(round, before.size)
        breaking(1 + ((round * 7) % MOST_STATEMENTS)) { send_with(token, *what) }
        after = stored
        broken += 1 if status == 503
        assert_answer(before, after, what)
        assert_nothing_invented(after)
        assert_shown(after)
      end
      assert_operator broken, :>, ROUNDS / 4, "it did break"
    end

    def assert_answer(before, after, what)
      assert_equal before, after.first(before.size), "nothing saved is ever changed"
      case status
      when 201, 200 then assert_includes [0, 1], after.size - before.size
      when 503 then assert_equal "unknown", answer["saved"], what
      else assert_equal before, after, "#{status} #{last_response.body}"
      end
      assert_includes [200, 201, 401, 404, 409, 422, 503], status, last_response.body
    end

    # Two that stand in each other's way, really: each holds what the other wants.
    def test_what_stands_in_each_others_way_is_done_again
      ids = [@client, add_client(MOUSE)]
      tried = [0, 0]
      threads = [ids, ids.reverse].each_with_index.map do |order, index|
        Thread.new(other) do |database|
          Server::Store.transaction(database) do
            tried[index] += 1
            order.each do |id|
              database[:clients].where(id:).update(seen_at: Sequel::CURRENT_TIMESTAMP)
              sleep 0.3
            end
          end
        end
      end
      threads.each(&:join)
      # Now and then the database ends both of them.
      assert_includes [[1, 2], [2, 2]], tried.sort
    end
  end
end
