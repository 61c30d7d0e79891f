# frozen_string_literal: true

require_relative "helper"

module Kippen
  # A test whose changes are really written: nothing here is rolled back, all of it is taken away afterwards.
  class CommittedCase < ServerTest
    SWAP = { "kind" => "arrange", "arrangement" => "left-handed-mouse", "device" => "mouse" }.freeze
    MOUSE = JSON.parse(File.read(File.join(Server::ROOT, "demo", "ottoline.fitting.json")))

    def run = Minitest::Test.instance_method(:run).bind_call(self)

    def setup
      super
      add_client(MOUSE)
      @others = []
    end

    def teardown
      @others.each(&:disconnect)
      DATABASE[:clients].where(service_id: @service).delete
      %i[tries erasures].each { |table| DATABASE[table].delete }
      %i[audit accounts].each { |table| DATABASE[table].where(service_id: @service).delete }
      DATABASE[:services].where(id: @service).delete
    end

    # Another process, as far as the database can tell.
    def other = Server::Store.connect(ENV.fetch("DATABASE_URL")).tap { |database| @others << database }

    def save(database, change, author: "Somebody", &before)
      Server::Store::Save.new(database).on(@client, author:) do |head|
        before&.call
        made = Changes.make(head.fitting, Changes.read(change), knowledge: Server::KNOWLEDGE, by: author,
                                                                at: "2026-11-26T12:00:00Z")
        Server::Store::Save::Made.new(fitting: made.fitting)
      end
    end

    def numbers = DATABASE[:revisions].where(client_id: @client).order(:number).select_map(:number)
    def head = Server::Store::Revisions.new(DATABASE).head(@client)
    def wait_until = 200.times { yield ? break : sleep(0.01) }
  end
end
