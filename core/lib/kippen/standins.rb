# frozen_string_literal: true

require_relative "standins/chance"
require_relative "standins/hand"

module Kippen
  # Simulated stand-ins for what is outside: hands that press.
  module Standins
  end
end
