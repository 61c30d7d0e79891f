# frozen_string_literal: true

require_relative "press/outcome"
require_relative "press/schedule"
require_relative "press/resolver"
require_relative "press/host_state"
require_relative "press/contact"
require_relative "press/burst"
require_relative "press/decisions"
require_relative "press/burst_table"
require_relative "press/bursts"
require_relative "press/click_filter"
require_relative "press/snapshot"
require_relative "press/timed"
require_relative "press/engine"
require_relative "press/events"
require_relative "press/replay"
require_relative "press/waits"
require_relative "press/limits_of_timing"
require_relative "press/boundaries"
require_relative "press/regions"
require_relative "press/lane"
require_relative "press/along"
require_relative "press/stories"
require_relative "press/saved_stories"
require_relative "press/candidates"
require_relative "press/wait_parts"
require_relative "press/account"
require_relative "press/telling"
require_relative "press/bench"

module Kippen
  # From raw contacts to actions: what presses mean. See docs/press-engine.md.
  module Press
  end
end
