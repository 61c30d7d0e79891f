# frozen_string_literal: true

require_relative "committed"

module Kippen
  # Clients are erased while they are worked with: two benches, a sitting, screens and saves at once. So many of them;
  # KIPPEN_ERASED=100 takes a minute or two.
  class ErasingTest < CommittedCase
    ROUNDS = Integer(ENV.fetch("KIPPEN_ERASED", "6"), 10)
    SEEN = [200, 201, 404, 409, 422].freeze

    # Somebody who does one thing again and again until the client is gone.
    class Worker
      attr_reader :statuses

      def initialize(app, email, client)
        @http = Rack::Test::Session.new(Rack::MockSession.new(app, "localhost"))
        @client = client
        @statuses = Hash.new(0)
        @number = 0
        post("/api/session/sign-in", "email" => email, "password" => ServerTest::PASSWORD)
        raise "#{email} could not sign in" unless @statuses.keys == [200]

        @token = get("/api/session")["csrf"]
        @statuses.clear
      end

      def press
        @stream ||= post("/api/listeners/#{post("/api/clients/#{@client}/listeners", "name" => "Bench")["id"]}/streams", {})["id"]
        return unless @stream

        messages = %w[down up].map do |kind|
          { "number" => @number += 1, "t_us" => @number * 100_000, "source" => "mouse/left", "kind" => kind }
        end
        post("/api/streams/#{@stream}/messages", "messages" => messages)
      end

      def screen = post("/api/clients/#{@client}/screens", "host" => "computer", "do" => "ring")
      def sit = post("/api/clients/#{@client}/sittings", "button" => "mouse/left", "way" => "prompts", "whose" => "client")

      def hand
        post("/api/clients/#{@client}/hands/presses", "hand" => "steady", "button" => "mouse/left", "script" => ["tap"],
                                                      "seed" => 1)
      end

      def save
        newest = get("/api/clients/#{@client}/revisions").dig("revisions", 0, "number") or return
        post("/api/clients/#{@client}/revisions", "opened_on" => newest, "page" => "erasing", "change" => {
               "kind" => "timing", "button" => "mouse/back", "setting" => "tap_gap_ms", "value" => 300 + (newest % 2)
             })
      end

      def erase(name) = post("/api/clients/#{@client}/erasure", "name" => name)
      def gone? = @statuses.key?(404)
      def get(path) = take(@http.get(path))

      def post(path, body)
        take(@http.post(path, JSON.generate(body), "CONTENT_TYPE" => "application/json", "HTTP_X_CSRF_TOKEN" => @token || token))
      end

      private

      def token = JSON.parse(@http.get("/api/session").body)["csrf"]

      def take(response)
        @statuses[response.status] += 1
        JSON.parse(response.body)
      end
    end

    def test_a_client_is_erased_while_it_is_worked_with
      email = DATABASE[:accounts].where(service_id: @service).get(:email)
      lead = sign_in_as("lead") && DATABASE[:accounts].where(service_id: @service, role: "lead").get(:email)
      ROUNDS.times do |round|
        # Nobody signs in so often.
        Server::Rates::COUNTERS.clear
        add_client(MOUSE)
        client = @client
        does = %i[press press save screen sit hand].map { |what| [Worker.new(APP, email, client), what] }
        threads = does.map { |worker, what| Thread.new { worker.public_send(what) until worker.gone? } }
        sleep 0.2
        eraser = Worker.new(APP, lead, client)
        eraser.erase(MOUSE.dig("client", "name"))
        threads.each do |thread|
          thread.join(30) || flunk("round #{round}: somebody still works with it: #{does.map do |worker, what|
            [what, worker.statuses]
          end}")
        end
        assert_equal({ 200 => 1 }, eraser.statuses, "round #{round}")
        assert_empty does.flat_map { |worker, _| worker.statuses.keys }.uniq - SEEN,
                     does.map { |worker, what| [what, worker.statuses] }.inspect
        assert_equal([0] * 3, %i[clients listeners sittings].map do |table|
          DATABASE[table].where(table == :clients ? { id: client } : { client_id: client }).count
        end)
      end
    end
  end
end
