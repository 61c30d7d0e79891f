# frozen_string_literal: true

require "json"
require "net/http"

# A visitor to a running Kippen, signed in to its demo by one press. For bin/bench and tests.
class Visitor
  # "name=value" of the session, once there is one.
  attr_reader :cookie

  def initialize(url)
    @url = url
    @cookie = nil
  end

  # Opens a session with the demo's account of this role; returns itself.
  def sign_in(role = "specialist")
    post("/api/session/demo", "role" => role)
    self
  end

  # The JSON of an answer, or its text where it is none.
  def get(path)
    response = ask(Net::HTTP::Get.new(path))
    response.content_type.to_s.end_with?("json") ? JSON.parse(response.body) : response.body
  end

  # The whole response.
  def post(path, body = nil)
    request = Net::HTTP::Post.new(path, "Content-Type" => "application/json", "X-CSRF-Token" => token)
    request.body = body ? JSON.generate(body) : ""
    # Signed in or out, it is another session with another token.
    ask(request).tap { @token = nil if path.start_with?("/api/session") }
  end

  # The whole response.
  def delete(path) = ask(Net::HTTP::Delete.new(path, "X-CSRF-Token" => token))

  private

  # One way to the server, as a browser keeps it.
  def http
    uri = URI(@url)
    @http ||= Net::HTTP.start(uri.host, uri.port, read_timeout: 60)
  end

  def token = @token ||= get("/api/session")["csrf"].to_s

  def ask(request)
    request["Cookie"] = @cookie if @cookie
    response = http.request(request)
    @cookie = response["set-cookie"][/\A[^;]+/] if response["set-cookie"]
    response
  end
end
