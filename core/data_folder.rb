# frozen_string_literal: true

module Kippen
  # The data that ship, read for whoever gives them to the core: the core itself reads no file.
  module DataFolder
    # Takes a folder laid out as core/data; returns what Knowledge.read takes.
    def self.texts(folder) = ->(pattern) { Dir[File.join(folder, pattern)].map { |file| File.read(file) } }
  end
end
