# frozen_string_literal: true

require_relative "proposals/table"
require_relative "proposals/table_reader"
require_relative "proposals/narrow"
require_relative "proposals/program"
require_relative "proposals/solved"
require_relative "proposals/rules"
require_relative "proposals/frontier"
require_relative "proposals/answer"
require_relative "proposals/rows"
require_relative "proposals/offers"
require_relative "proposals/from_fitting"
require_relative "proposals/changes_of"
require_relative "proposals/why"

module Kippen
  # Which few changes would help most: a table of slots (what each want would cost on each gesture of each button), the
  # mixed-integer program that it makes, and what is best for each number of changes. The core is given a solver:
  # an object with #solve(program, seconds:), see Proposals::Solved.
  module Proposals
    # How long a solver may take, in all.
    SECONDS = 20.0
  end
end
