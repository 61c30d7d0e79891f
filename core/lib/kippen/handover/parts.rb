# frozen_string_literal: true

module Kippen
  module Handover
    # What is put on a device, as JSON lines, cut into parts that are sent one after the other; together they are the whole again.
    module Parts
      # So many characters of at most four bytes.
      LENGTH = 512
      # In this order, so that what others speak of is there first; the rest goes with the first.
      MEMBERS = %w[modes places shortlists timing assignments].freeze

      EMPTY = MEMBERS.to_h { |name| [name, name == "timing" ? {}.freeze : [].freeze] }.freeze

      # text – what is sent; name – the member it is of
      Part = Struct.new(:text, :name, keyword_init: true)

      module_function

      # document – see Carried; returns [Part]
      def of(document)
        first = [["rest", document.except(*MEMBERS)]]
        named = first + MEMBERS.select { |name| document[name]&.any? }.map { |name| [name, document.slice(name)] }
        named.flat_map do |name, part|
          "#{InOrder.text(part)}\n".scan(/.{1,#{LENGTH}}/mo).map { |text| Part.new(text:, name:).freeze }
        end
      end

      # texts of all parts; returns the document, or nil where they are none.
      def whole(texts)
        read = texts.join.lines.map { |line| JSON.parse(line) }
        return unless read.all?(Hash)

        document = EMPTY.merge(*read)
        document if document["kippen"] == Carried::FORMAT && EMPTY.all? { |name, value| document[name].is_a?(value.class) }
      rescue JSON::ParserError
        nil
      end
    end
  end
end
