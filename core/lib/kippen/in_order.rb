# frozen_string_literal: true

module Kippen
  # JSON values as text, in one order of their members: a database keeps them in another.
  module InOrder
    module_function

    def text(value) = JSON.generate(sorted(value))

    def sorted(value)
      case value
      when Hash then value.sort.to_h { |name, item| [name, sorted(item)] }
      when Array then value.map { |item| sorted(item) }
      else value
      end
    end
    private_class_method :sorted
  end
end
