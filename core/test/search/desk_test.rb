# frozen_string_literal: true

require_relative "../helper"
require_relative "../kinds_data"

module Kippen
  # Whatever there is at a desk is found by what people say.
  class SearchDeskTest < CoreTest
    include KindsData

    PHRASES = File.readlines(File.join(__dir__, "desk.txt"), chomp: true).reject { |line| line.start_with?("#") }
      .to_h { |line| line.split(" = ").then { |said, meant| [said, meant.split] } }.freeze

    def self.index(who)
      fitting = Formats::FittingJson.read(File.read(File.expand_path("../../../demo/#{who}.fitting.json", __dir__)))
      Search::Topics.of(fitting, KNOWLEDGE.of(fitting))
    end

    MOUSE_AND_REMOTE = index("ottoline")
    SWITCHES = index("sunniva")
    # Only who squeezes has them.
    LEVELS = %w[setting:press_at setting:release_at].freeze

    def found(said, index = MOUSE_AND_REMOTE) = KNOWLEDGE.search.find(index, said)

    def first(said, index = MOUSE_AND_REMOTE)
      found(said, index).first&.then { |one| "#{one.kind}:#{one.id.split.last}" } || "nothing"
    end

    def test_nine_of_ten_phrases_lead_to_what_is_meant_at_once
      wrong = PHRASES.filter_map do |said, meant|
        got = first(said, LEVELS.intersect?(meant) ? SWITCHES : MOUSE_AND_REMOTE)
        [said, got, meant] unless meant.include?(got)
      end
      assert_operator PHRASES.size, :>=, 150
      assert_operator wrong.size, :<=, PHRASES.size / 10,
                      wrong.map { |said, got, meant| "#{said}: #{got}, not #{meant.join(" or ")}" }.join("\n")
    end

    def test_complaints_find_what_is_set_and_not_what_is_done
      { "stop the tremor" => "bounce_guard_ms", "ignore short presses" => "brush_guard_ms",
        "the pointer is too quick" => "pointer_speed_percent" }.each do |said, setting|
        assert_equal "setting:#{setting}", first(said)
      end
      assert_equal "action:pointer-faster", first("pointer faster")
    end

    def test_where_nothing_fits_nothing_is_offered
      ["read it aloud", "order a pizza", "open the garage door", "feed the cat", "xyzzy", "200 ms"].each do |said|
        assert_empty found(said), said
      end
    end

    def test_levels_are_offered_only_where_something_is_squeezed
      assert_equal "setting:press_at", first("activation force", SWITCHES)
      assert_empty found("activation force")
    end

    def test_one_letter_wrong_is_forgiven_but_no_other_word_taken
      assert_equal "do:history", first("histroy")
      assert_equal "setting:tap_gap_ms", first("the delaay")
      assert_empty found("the weather")
    end

    def test_what_is_parted_belongs_together
      assert_includes %w[action:hearthcall/hang-up action:phone-end], first("put the phone down")
    end

    def test_the_clients_own_are_found
      { "reading" => "mode:reading", "left edge" => "place:screen-left-edge", "knee switch" => "device:knee-switch",
        "begin a line" => "want:begin-a-new-line-in-the-logbook" }.each do |said, meant|
        assert_equal meant, first(said, SWITCHES)
      end
      assert_includes found("new log line", SWITCHES).map(&:kind), "assignment"
      assert_includes found("log", SWITCHES).map { |one| "#{one.kind}:#{one.id}" }, "shortlist:log"
      value = found("press level", SWITCHES).find { |one| one.kind == "value" }
      assert_equal ["Press level: 0.5", "Grip left"], [value.name, value.of]
    end

    def test_a_value_is_found_by_its_figure
      fitting = Formats::FittingJson.read(File.read(File.expand_path("../../../demo/bram.fitting.json", __dir__)))
      doc = fitting.document.merge("button_timing" => { "pocket-phone/edge" => { "long_press_ms" => 1234 } },
                                   "hosts" => fitting.list("hosts")
                                     .map { |host| host["system"] == "tablet" ? host.merge("double_click_ms" => 470) : host })
      index = Search::Topics.of(Fitting.read(doc), KNOWLEDGE)
      assert_equal "Long-press time: 1234 ms", found("1234", index).first.name
      assert_equal "Double-click time: 470 ms", found("double click 470", index).first.name
    end

    # Not every client has what every phrase means.
    def test_what_is_asked_for_is_there
      there = [*MOUSE_AND_REMOTE.topics, *SWITCHES.topics].map { |one| "#{one.kind}:#{one.id.split.last}" }
      settings = KNOWLEDGE.settings.all.map { |one| "setting:#{one.id}" }
      assert_empty PHRASES.values.flatten.uniq - there - settings - ["nothing"]
    end
  end
end
