# frozen_string_literal: true

require_relative "committed"

module Kippen
  # Four people work on one client at once, in every way that saves. For so many seconds; bin/siege crowd
  # takes a minute.
  class CrowdTest < CommittedCase
    SECONDS = Float(ENV.fetch("KIPPEN_SECONDS", "5"))
    BACK = "mouse/back"
    SETTINGS = %w[long_press_ms tap_gap_ms].freeze

    # One of them, with a session of their own; remembers what was acknowledged.
    class Person
      attr_reader :acknowledged, :statuses, :presses

      def initialize(app, client, email, index)
        @http = Rack::Test::Session.new(Rack::MockSession.new(app, "localhost"))
        @client = client
        @page = "person-#{index}"
        @random = Random.new(index)
        @acknowledged = {}
        @statuses = Hash.new(0)
        @email = email
        @number = 0
      end

      def work(until_at)
        @token = get("/api/session")["csrf"]
        post("/api/session/sign-in", "email" => @email, "password" => ServerTest::PASSWORD)
        @token = get("/api/session")["csrf"]
        listener = post("/api/clients/#{@client}/listeners", "name" => @page)["id"]
        @stream = post("/api/listeners/#{listener}/streams", {})["id"]
        one_thing while Process.clock_gettime(Process::CLOCK_MONOTONIC) < until_at
      end

      private

      def one_thing
        history = get("/api/clients/#{@client}/revisions")
        newest = history["revisions"].first["number"]
        case @random.rand(10)
        when 0..3 then change(newest)
        when 4 then save("/revisions", "opened_on" => newest, "change" => CommittedCase::SWAP)
        when 5 then post("/api/clients/#{@client}/confirmations", "take_back" => true)
        when 6 then save("/steps", "step" => "undo", "revision" => history["undo"] || newest)
        when 7 then save("/steps", "step" => "redo", "revision" => history["redo"] || newest)
        when 8 then save("/steps", "step" => "restore", "revision" => 1 + @random.rand(newest))
        else press
        end
      end

      def change(newest)
        setting = SETTINGS.sample(random: @random)
        value = 300 + (10 * @random.rand(60))
        save("/revisions", "opened_on" => newest,
                           "change" => { "kind" => "timing", "button" => BACK, "setting" => setting,
                                         "value" => value }) do |number|
          @acknowledged[number] = [setting, value]
        end
      end

      def save(path, body)
        answer = post("/api/clients/#{@client}#{path}", body.merge("page" => @page))
        return unless @http.last_response.status == 201

        number = answer["revision"]["number"]
        @acknowledged[number] = nil
        yield number if block_given?
      end

      # The button that has the job after the swap: it confirms.
      def press
        messages = %w[down up].map do |kind|
          { "number" => @number += 1, "t_us" => @number * 400_000, "source" => "mouse/right", "kind" => kind }
        end
        post("/api/streams/#{@stream}/messages", "messages" => messages)
      end

      def get(path) = take(@http.get(path))

      def post(path, body)
        take(@http.post(path, JSON.generate(body), "CONTENT_TYPE" => "application/json", "HTTP_X_CSRF_TOKEN" => @token))
      end

      def take(response)
        @statuses[response.status] += 1
        JSON.parse(response.body)
      end
    end

    def deadlocks = DATABASE[:pg_stat_database].where(datname: Sequel.function(:current_database)).get(:deadlocks)

    def test_every_acknowledged_state_is_whole_and_in_order
      before = deadlocks
      ends = Process.clock_gettime(Process::CLOCK_MONOTONIC) + SECONDS
      people = Array.new(4) do |index|
        Person.new(APP, @client, DATABASE[:accounts].where(service_id: @service).get(:email), index)
      end
      people.map { |person| Thread.new { person.work(ends) } }.each(&:join)
      statuses = people.map(&:statuses).reduce { |all, more| all.merge(more) { |_, one, other| one + other } }
      assert_empty statuses.keys - [200, 201, 409, 422], statuses
      assert_equal before, deadlocks
      puts "crowd: #{numbers.size} revisions; #{statuses.sort.map { |pair| pair.join(": ") }.join(", ")}" if ENV["KIPPEN_SECONDS"]
      assert_acknowledged(people)
    end

    def assert_acknowledged(people)
      rows = DATABASE[:revisions].where(client_id: @client).order(:number).select(:number, :parent, :document, :page).all
      assert_equal((1..rows.size).to_a, rows.map { |row| row[:number] })
      assert_equal((0...rows.size).to_a, rows.map { |row| row[:parent].to_i })
      acknowledged = people.flat_map { |person| person.acknowledged.keys }
      assert_equal acknowledged.uniq, acknowledged, "no number is given twice"
      # Besides, only Kippen's own taking back of what nobody confirmed.
      assert_equal rows.filter_map { |row| row[:number] if row[:page] }, acknowledged.sort
      rows.each { |row| assert_whole(row, people.filter_map { |person| person.acknowledged[row[:number]] }.first) }
    end

    def assert_whole(row, said)
      document = row[:document].to_hash
      Fitting.read(document)
      kept = Server::Store::Revisions::READ.find(@client, row[:number])
      assert_equal document, kept.document if kept
      setting, value = said
      assert_equal value, document["button_timing"][BACK][setting] if said
    end
  end
end
