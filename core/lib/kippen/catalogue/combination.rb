# frozen_string_literal: true

module Kippen
  class Catalogue
    # Keys pressed together: modifiers first, then at most one other, in W3C terms:
    # ["Control", "Shift", "KeyA"]. Modifiers are key values (left or right is the same),
    # others are codes.
    module Combination
      MODIFIERS = %w[Control Alt Shift Meta].freeze
      CODE = /\A[A-Z][A-Za-z0-9]{0,29}\z/
      PLAIN = { "Minus" => "−", "Equal" => "=", "Comma" => ",", "Period" => ".", "Slash" => "/", "Semicolon" => ";",
                "Quote" => "'",
                "BracketLeft" => "[", "BracketRight" => "]", "Backslash" => "\\", "Backquote" => "`" }.freeze

      module_function

      # What is wrong with it, in words, or nil.
      def fault(keys)
        right = keys.is_a?(Array) && keys.all? { |key| key.is_a?(String) && key.match?(CODE) } && keys.uniq == keys
        return Words.say(:must_keys_w_c_terms) unless right && keys.size.between?(1, 5)

        others = keys.reject { |key| MODIFIERS.include?(key) }
        Words.say(:has_keys_beside_ctrl_alt, others: others.size) if others.size > 1
      end

      # In one order, whatever order they were pressed in.
      def sorted(keys)
        modifiers, others = keys.partition { |key| MODIFIERS.include?(key) }
        (MODIFIERS & modifiers) | others
      end

      # ["Control", "KeyC"] as "Ctrl + C".
      def label(keys)
        return keys.to_s unless fault(keys).nil?

        sorted(keys).map { |key| named(key) || PLAIN[key] || plain(key) }.join(" + ")
      end

      # A modifier, as it is said; nil: it is none.
      def named(key) = (Words.say(:"key_#{key.downcase}") if MODIFIERS.include?(key))

      # KeyC is C, Digit1 is 1, PageDown is Page down.
      def plain(code)
        short = code.delete_prefix("Key").delete_prefix("Digit")
        return short if short.length <= 1 || code.match?(/\AF\d+\z/)

        code.gsub(/(?<=[a-z])(?=[A-Z0-9])/, " ").capitalize
      end
      private_class_method :plain
    end
  end
end
