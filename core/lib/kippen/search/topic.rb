# frozen_string_literal: true

module Kippen
  class Search
    # Something that can be found. Frozen.
    # kind – what sort of thing; id – its own among its kind; name – what it is called; of – what it belongs to, or nil;
    # note – a sentence beside it, or nil; also – words it is known by besides
    # said – { name:, of:, words: }, the words of each as they are compared
    DONE = %w[action assignment button].freeze
    private_constant :DONE

    Topic = Struct.new(:kind, :id, :name, :of, :note, :leads, :said, keyword_init: true) do
      # spoken – what makes words of a text
      def initialize(also: "", spoken: Spoken, **given)
        texts = { name: given.fetch(:name), of: given[:of], words: also }
        super(**given, said: texts.transform_values { |text| spoken.words(text.to_s).uniq.freeze }.freeze)
        freeze
      end

      # Is it what a button does, or the button?
      def done? = DONE.include?(kind)
    end
  end
end
