# frozen_string_literal: true

module Kippen
  # Which lines of which files, as one number a file whose bit n stands for line n; kept as text.
  module Lines
    ROOT = File.expand_path("../..", __dir__)
    BASE = 36

    module_function

    # What Ruby's Coverage tells → { file of the root => bits }, for files of the project alone; least – run so often at least
    def of(result, least: 1)
      result.each_with_object({}) do |(file, told), bits|
        next unless file.start_with?("#{ROOT}/")

        mask = once(told[:lines].each_with_index.filter_map { |count, index| index + 1 if count.to_i >= least })
        bits[file.delete_prefix("#{ROOT}/")] = mask if mask.positive?
      end
    end

    def write(bits) = bits.transform_values { |mask| mask.to_s(BASE) }
    def read(text) = text.transform_values { |mask| Integer(mask, BASE) }
    def merge(one, other) = one.merge(other) { |_, a, b| a | b }
    def once(lines) = lines.reduce(0) { |mask, line| mask | (1 << line) }
  end
end
