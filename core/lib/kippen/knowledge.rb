# frozen_string_literal: true

module Kippen
  # What is known besides the client: device kinds, actions, arrangements, settings. One value, so
  # that whatever decides about a fitting is given the same.
  Knowledge = Struct.new(:kinds, :catalogue, :arrangements, :settings, keyword_init: true) do
    def initialize(**)
      super
      freeze
    end
  end
end
