# frozen_string_literal: true

require_relative "helper"
require "rack/mock"

module Kippen
  # Another language, from a file.
  class SpokenTest < Minitest::Test
    RIGHT = { "kippen" => "words/1", "locale" => "nl", "direction" => "ltr",
              "server" => { "status_404" => "Niet gevonden" }, "pages" => { "tune.apply" => "Toepassen: {to}" } }.freeze

    def teardown = Words.in_english

    def read(document)
      Dir.mktmpdir do |folder|
        path = File.join(folder, "words.json")
        File.write(path, document.is_a?(String) ? document : JSON.generate(document))
        Server::Spoken.read(path)
      end
    end

    def faults(document) = assert_raises(Invalid) { read(document) }.faults.map { |fault| [fault.where, fault.message] }

    def test_it_speaks_what_the_file_says_and_the_rest_in_english
      spoken = read(RIGHT)
      assert_equal ["nl", "ltr", { "tune.apply" => "Toepassen: {to}" }], spoken.to_a
      assert_equal(["Niet gevonden", "Not allowed"], [404, 403].map { |status| Server::Problem.of(status, "")["title"] })
    end

    def test_without_a_file_it_is_english
      assert_nil Server::Spoken.read(nil)
      assert_nil Server::Spoken.read("")
    end

    def test_a_process_that_is_told_to_speak_what_is_wrong_ends_and_says_why
      _, told = capture_io { assert_raises(SystemExit) { Server::Spoken.read_or_end("/nowhere/words.json") } }
      assert_equal "KIPPEN_WORDS: No such file or directory @ rb_sysopen - /nowhere/words.json\n", told
      Dir.mktmpdir do |folder|
        path = File.join(folder, "words.json")
        File.write(path, JSON.generate(RIGHT.merge("locale" => "?", "direction" => "up")))
        _, told = capture_io { assert_raises(SystemExit) { Server::Spoken.read_or_end(path) } }
        assert_equal "KIPPEN_WORDS, #{path}: /locale: must be a language such as nl or pt-BR\n" \
                     "KIPPEN_WORDS, #{path}: /direction: must be ltr, rtl\n", told
      end
    end

    def test_what_is_wrong_is_told_all_of_it
      assert_equal [["/kippen", "must be words/1"]], faults({ "kippen" => "words/2" })
      assert_equal [["/kippen", "must be words/1"]], faults("[]")
      assert_equal [["/locale", "must be a language such as nl or pt-BR"], ["/direction", "must be ltr, rtl"],
                    ["/server", "must be an object"], ["/pages/tune.apply", "must be text"]],
                   faults(RIGHT.merge("locale" => "nl\"><script>", "direction" => "up", "server" => [],
                                      "pages" => { "tune.apply" => 1 }))
      assert_equal [["/server/status_404", "has no part who; it may have: "]],
                   faults(RIGHT.merge("server" => { "status_404" => "%{who} weg" }))
      assert_equal [["file", "key \"kippen\" stands twice in one object"]], faults('{"kippen": "words/1", "kippen": 1}')
    end

    def test_the_page_says_its_language_and_where_its_words_are
      Dir.mktmpdir do |folder|
        File.write(File.join(folder, "index.html"), %(<!doctype html>\n<html lang="en">))
        arabic = read(RIGHT.merge("locale" => "ar", "direction" => "rtl"))
        { nil => %(<html lang="en">), arabic => %(<html lang="ar" dir="rtl" data-words="/words.json">) }.each do |spoken, begins|
          pages = Rack::MockRequest.new(Server::Pages.new(folder, spoken:))
          page = pages.get("/clients/x")
          assert_equal [200, true], [page.status, page.body.include?(begins)], begins
          words = pages.get("/words.json")
          # Without a language of its own this is an address like any other.
          assert_equal spoken ? "application/json" : "text/html; charset=utf-8", words["content-type"]
          assert_equal spoken.pages, JSON.parse(words.body) if spoken
        end
      end
    end
  end
end
