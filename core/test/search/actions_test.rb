# frozen_string_literal: true

require_relative "../helper"
require_relative "../kinds_data"

module Kippen
  # Actions are found by what people say. The phrases were written down before the synonyms were.
  class SearchActionsTest < CoreTest
    include KindsData

    SEARCH = KNOWLEDGE.search
    PHRASES = File.readlines(File.join(__dir__, "actions.txt"), chomp: true).reject { |line| line.start_with?("#") }
      .to_h { |line| line.split(" = ").then { |said, meant| [said, meant.split] } }.freeze

    ACTIONS = Search::Index.new(CATALOGUE.entries.map(&:topic))

    def first(said) = SEARCH.find(ACTIONS, said).first&.id

    def test_nine_of_ten_phrases_lead_to_the_right_action_at_once
      wrong = PHRASES.filter_map { |said, meant| [said, first(said), meant] unless meant.include?(first(said)) }
      assert_operator PHRASES.size, :>=, 150
      assert_operator wrong.size, :<=, PHRASES.size / 10,
                      wrong.map { |said, got, meant| "#{said}: #{got.inspect}, not #{meant.join(" or ")}" }.join("\n")
    end

    def test_every_action_named_is_there
      assert_empty PHRASES.values.flatten.uniq - ACTIONS.topics.map(&:id)
    end
  end
end
