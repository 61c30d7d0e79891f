# frozen_string_literal: true

require_relative "helper"

module Kippen
  # Of several who set a service up at once, one is the first. Really written, and taken away afterwards.
  class FirstServiceTest < ServerTest
    def run = Minitest::Test.instance_method(:run).bind_call(self)
    def setup = Server::Rates::COUNTERS.clear
    def teardown = DATABASE[:services].delete

    def first(index)
      http = Rack::Test::Session.new(Rack::MockSession.new(APP, "localhost"))
      token = JSON.parse(http.get("/api/session").body)["csrf"]
      body = { "service" => "Reedbank #{index}", "name" => "Lead", "email" => "lead#{index}@reedbank.example",
               "password" => PASSWORD }
      http.post("/api/services", JSON.generate(body), "CONTENT_TYPE" => "application/json", "HTTP_X_CSRF_TOKEN" => token).status
    end

    def test_of_ten_at_once_one_is_the_first
      statuses = Array.new(10) { |index| Thread.new { first(index) } }.map(&:value)
      assert_equal [201, *([403] * 9)], statuses.sort
      assert_equal [1, 1], [DATABASE[:services].where(demo: false).count, DATABASE[:accounts].count]
    end
  end
end
