# frozen_string_literal: true

require_relative "search/spoken"
require_relative "search/phrases"
require_relative "search/language"
require_relative "search/topic"
require_relative "search/index"
require_relative "search/rating"
require_relative "search/topics"

module Kippen
  # Finds what is meant by what people say. Frozen.
  #
  # What is said loses its small words; phrases and words are also taken as what they stand for, one letter wrong is
  # forgiven. A word says the more the fewer things have it. Found is what has most of what was said, by that weight:
  # where less than half of it is met, nothing is offered as if it fitted.
  class Search
    # So much of what was said must be met, by weight.
    MET = 0.5
    # Where somebody complains, something is to be set rather than done.
    COMPLAINED_OF = 0.5
    # What comes far behind the best isn't what was meant.
    NEAR_THE_BEST = 0.5

    # text – the JSON of the synonyms. Raises Invalid.
    def self.read(text) = new(Language.read(text))

    def initialize(language)
      @language = language
      freeze
    end

    # Takes an Index and what was said. Returns the Topics that are meant, the likeliest first; all where nothing was said.
    # met – so much of it, by weight, must be met
    def find(index, said, met: MET)
      return index.topics if said.strip.empty?

      asked = @language.asked(index, said)
      rating = Rating.new(index, asked, met * asked.sum(&:weight)) { |word| @language.small?(word) }
      complaint = @language.complaint?(said)
      rated = index.topics.each_with_index.filter_map do |topic, place|
        rate = rating.of(topic) or next
        [complaint && topic.done? ? -rate * COMPLAINED_OF : -rate, place, topic]
      end.sort
      rated.take_while { |rate, *| rate <= rated.first[0] * NEAR_THE_BEST }.map(&:last)
    end
  end
end
