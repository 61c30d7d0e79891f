# frozen_string_literal: true

require_relative "standins/carrier"
require_relative "standins/chance"
require_relative "standins/hand"
require_relative "standins/dials"
require_relative "standins/hands"
require_relative "standins/layout"
require_relative "standins/course"
require_relative "standins/effects"
require_relative "standins/facts"
require_relative "standins/screen"

module Kippen
  # Simulated stand-ins for what is outside: hands that press, hosts on which something happens.
  module Standins
  end
end
