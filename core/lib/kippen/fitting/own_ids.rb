# frozen_string_literal: true

module Kippen
  class Fitting
    # Ids for new parts, made from what people call them.
    module OwnIds
      LONGEST = 48

      # name – any text; taken – ids in use. Returns one that is free: "head-switch", "head-switch-2".
      def self.from(name, taken, fallback)
        plain = name.to_s.unicode_normalize(:nfd).downcase.gsub(/[\u0300-\u036f'’]/, "").gsub(/[^a-z0-9]+/, "-")
          .gsub(/\A-+|-+\z/, "").slice(0, LONGEST)
        plain = fallback if plain.empty?
        return plain unless taken.include?(plain)

        number = (2..).find { |count| !taken.include?("#{plain}-#{count}") }
        "#{plain}-#{number}"
      end
    end
  end
end
