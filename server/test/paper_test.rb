# frozen_string_literal: true

require_relative "helper"
require "open3"
require "tempfile"

module Kippen
  # The button card and the settings sheet as PDF: real text, whatever somebody is called.
  class PaperTest < ServerTest
    def setup
      super
      add_client
      assign("long_press", { "kind" => "help" })
    end

    def pdf(**query)
      get("/api/clients/#{@client}/pdf", query)
      assert_equal [200, "application/pdf"], [status, last_response.content_type], last_response.body[0, 300]
      last_response.body
    end

    def text(bytes) = read(bytes, "pdftotext", "-layout", "-")

    # By Debian's poppler-utils, which is no part of Kippen.
    def read(bytes, *command)
      Tempfile.create(["sheet", ".pdf"]) do |file|
        file.binmode
        file.write(bytes)
        file.flush
        out, = Open3.capture2e(command[0], *command[1..-2], file.path, *command[-1])
        out
      end
    end

    def test_a_sheet_is_a_pdf_with_its_title_and_one_page_at_least
      %w[card settings].each do |what|
        bytes = pdf(what:)
        assert bytes.start_with?("%PDF-1."), what
        assert_includes bytes, "/Type /Page"
      end
      refute_equal pdf(what: "card").size, pdf(what: "card", large: true, plain: true, size: "letter").size
    end

    def test_what_stands_on_it
      card = text(pdf(what: "card"))
      assert_match(/long-press: Ask for help\s+– help/, card)
      assert_match(/Revision 2, saved/, card)
      settings = text(pdf(what: "settings"))
      assert_match(/Ask for help/, settings)
      assert_match(/Where to look for it: On the computer/, settings)
      refute_match(/Ask for help/, text(pdf(what: "card", only: "tablet")))
    end

    # Longer than a line, in other scripts, from the right, with what no font has: the sheet is made all the same.
    def test_odd_names
      names = ["Ülkü Þórðardóttir-Łukaszewicz #{"x" * 80}", "مريم", "דוד", "林", "🙂🙂", "a\u202eb", "Ǩ ẁ"]
      names.each_with_index do |name, index|
        change({ "kind" => "client", "name" => name }, parent: index + 2)
        assert_equal 201, status, answer
        assert pdf(what: "card").start_with?("%PDF"), name
      end
    end

    # Read by pdftotext, which turns a run from the right into the order of reading.
    def test_names_in_other_scripts
      { "Γιώργος Ὀδυσσεύς" => "Γιώργος Ὀδυσσεύς", "Юлия Ґедзь" => "Юлия Ґедзь", "Nguyễn Thị Ửng" => "Nguyễn Thị Ửng",
        "דוד לוי" => "דוד לוי" }.each_with_index do |(name, read), index|
        change({ "kind" => "client", "name" => name }, parent: index + 2)
        card = text(pdf(what: "card"))
        assert_includes card.delete("\u202a-\u202e"), read
        refute_includes card, Words.say(:paper_missing)
      end
      { 6 => "مريم", 7 => "林" }.each do |parent, name|
        change({ "kind" => "client", "name" => name }, parent:)
        assert_includes text(pdf(what: "card")).gsub(/\s+/, " "), Words.say(:paper_missing), name
      end
    end

    def test_a_run_from_the_right_is_drawn_in_its_order
      { "What דוד does" => "What #{"דוד".reverse} does", "דוד 12, לוי!" => "#{"לוי".reverse} ,12 #{"דוד".reverse}!",
        "plain" => "plain" }.each do |words, drawn|
        assert_equal drawn, Server::Paper::FromTheRight.drawn(words)
      end
    end

    # Thirty buttons go over several pages, each with its foot.
    def test_many_buttons_and_empty_devices
      demo = JSON.parse(File.read(File.join(Server::ROOT, "demo", "sunniva.fitting.json")))
      add_client(demo)
      assert_operator pdf(what: "settings").scan("/Type /Page\n").size, :>, 1
      assert pdf(what: "card", only: "gone").start_with?("%PDF")
    end

    def test_whose_client_it_is_not_gets_nothing
      sign_in_as("specialist", service: store.add_service("Elsewhere"))
      get("/api/clients/#{@client}/pdf")
      assert_equal 404, status
    end
  end
end
