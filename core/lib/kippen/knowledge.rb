# frozen_string_literal: true

module Kippen
  # What is known besides the client: device kinds, the browser's codes, actions, combinations of keys,
  # arrangements, settings, stand-in hands, topics to be found. One value, so that whatever decides about a fitting is given the
  # same.
  Knowledge = Struct.new(:kinds, :codes, :catalogue, :combinations, :arrangements, :settings, :search, :host_kinds, :hands,
                         :topics, keyword_init: true) do
    # texts – takes a name or a pattern of names of core/data, gives the texts of those files, see DataFolder. Raises Invalid.
    def self.read(texts)
      text = ->(name) { texts[name].first }
      catalogue = Catalogue.read(texts["actions/*.json"])
      new(kinds: Kinds.read(texts["kinds/*.json"]), codes: Kinds::Codes.read(text["codes/keys.json"], text["codes/buttons.json"]),
          catalogue:, combinations: Catalogue::Combinations.read(catalogue, text["kept-combinations.json"]),
          arrangements: Arrangements.read(text["arrangements.json"]), settings: Settings.read(text["settings.json"]),
          host_kinds: HostKinds.read(text["hosts.json"]), hands: Standins::Hands.read(text["hands.json"]), **to_find(text))
    end

    def self.to_find(text) = { search: Search.read(text["synonyms.json"]), topics: Search::Topics.read(text["topics.json"]) }
    private_class_method :to_find

    def initialize(**)
      super
      freeze
    end

    # The same, with the apps of a fitting.
    def of(fitting) = fitting.recall([:knowledge, kinds.object_id]) { self.class.new(**to_h, catalogue: catalogue.of(fitting)) }

    # All of it in an error would be a book.
    def inspect = "#<#{self.class}>"
  end
end
