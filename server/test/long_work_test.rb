# frozen_string_literal: true

require_relative "fit_case"

module Kippen
  # Long work, whatever it does: a sort of its own, in a table of its own.
  class LongWorkTest < FitCase
    # Counts to three, and says so.
    class Count < Server::Jobs::LongJob
      def self.work = Server::Store::LongWork.new(Server::Jobs.database, :counts, "count")

      private

      def make(row, progress)
        progress.of = 3
        3.times { progress.step }
        raise Deadline::Passed if row[:upto] > 3

        { made: "counted to #{row[:upto]}" }
      end

      def takes_too_long = "nobody counts beyond three"
    end

    def setup
      super
      DATABASE.create_table(:counts, temp: true) do
        uuid :id, primary_key: true, default: Sequel.function(:gen_random_uuid)
        uuid :client_id
        String :state, default: "waiting"
        Integer :done, default: 0
        Integer :of, default: 1
        Integer :attempts, default: 0
        TrueClass :give_up, default: false
        String :error
        timestamptz :ended_at
        Integer :upto
        String :made
      end
    end

    def add(upto) = DATABASE[:counts].returning.insert(client_id: @client, upto:).first[:id]
    def row(id) = Count.work.find(id)

    def test_it_is_done_told_and_done_once
      told = []
      id = add(3)
      Server::Store::News.stub(:tell, ->(_, client, name, **more) { told << [client, name, more[:id]] }) do
        2.times { Count.run(id) }
      end
      assert_equal ["done", "counted to 3", 1, 1, 3], row(id).values_at(:state, :made, :attempts, :done, :of)
      assert_equal [[@client, "count", id]] * 3, told
    end

    def test_what_takes_too_long_says_so_in_its_own_words
      Count.run(id = add(4))
      assert_equal ["failed", "nobody counts beyond three"], row(id).values_at(:state, :error)
    end

    def test_what_is_none_is_missing_by_its_name
      error = assert_raises(Server::Store::Missing) { row(SecureRandom.uuid) }
      assert_match(/\Ano count /, error.message)
    end

    def test_short_work_goes_before_long_and_waits_by_turns
      urgent = ->(short, before) { Count.priority(short, before) }
      assert_equal [10, 20, 1000, 1010, 30_000],
                   [urgent[true, 0], urgent[true, 1], urgent[false, 0], urgent[false, 1], urgent[false, 99_999]]
    end
  end
end
