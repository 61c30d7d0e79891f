# frozen_string_literal: true

module Kippen
  module Words
    # Sentences of a catalogue in another language. One is text with parts in %{…}; where it is another for other numbers,
    # { one: …, other: … }, with the forms that Plurals has for the language; by – the part that is counted, :count unless said.
    module InOtherWords
      FORMS = %w[zero one two few many other].freeze
      PART = /%\{(\w+)\}/

      # sentence – as the catalogue has it; plural – of Plurals; parts – { name => value }
      def self.fill(sentence, plural, parts)
        return format(sentence, **parts) if sentence.is_a?(String)

        form = plural.call(parts.fetch(sentence.fetch(:by, :count)))
        format(sentence.fetch(form) { sentence.fetch(:other) }, **parts)
      end

      # english – the catalogue; sentences – { "key" => text or { "one" => text … } }, JSON; pointer – where they stand.
      # What the catalogue has no more is passed over. Returns { key => sentence }; raises Invalid with all that can't be filled
      # in.
      def self.read(english, sentences, pointer)
        faults = Faults.new
        known = sentences.to_h.transform_keys(&:to_sym).slice(*english.keys)
        read = known.to_h { |key, one| [key, sentence(english[key], one, "#{pointer}/#{key}", faults)] }
        faults.raise_any
        read
      end

      # The parts that a sentence may have.
      def self.parts(sentence) = forms(sentence).values.flat_map { |text| text.scan(PART).flatten }.uniq

      def self.sentence(english, one, pointer, faults)
        forms = forms(one)
        unless forms.any? && forms.all? { |form, text| FORMS.include?(form) && text.is_a?(String) } && forms.key?("other")
          return faults.add(pointer, Words.say(:must_be_sentence, forms: FORMS.join(", ")))
        end

        forms.each_value { |text| faulty(english, text)&.then { |words| faults.add(pointer, words) } }
        return one if one.is_a?(String)

        forms.transform_keys(&:to_sym).merge({ by: (english[:by] if english.is_a?(Hash)) }.compact).freeze
      end

      # What is wrong with it, or nil: a part that is never given, a % that is none.
      def self.faulty(english, text)
        more = text.scan(PART).flatten - parts(english)
        return Words.say(:has_no_part, names: more.join(", "), parts: parts(english).join(", ")) if more.any?

        Words.say(:percent_twice) if text.gsub(PART, "").gsub("%%", "").include?("%")
      end

      def self.forms(sentence)
        return { "other" => sentence } if sentence.is_a?(String)

        sentence.is_a?(Hash) ? sentence.except(:by, "by").transform_keys(&:to_s) : {}
      end
      private_class_method :sentence, :faulty, :forms
    end
  end
end
