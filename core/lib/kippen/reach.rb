# frozen_string_literal: true

require_relative "reach/ways_in"
require_relative "reach/what_happens"
require_relative "reach/wants"
require_relative "reach/main_job"
require_relative "reach/free_places"
require_relative "reach/mode_walk"
require_relative "reach/no_way_back"
require_relative "reach/never_happens"
require_relative "reach/answer"
require_relative "reach/figures"
require_relative "reach/press_times"
require_relative "reach/rates"
require_relative "reach/mode_paths"
require_relative "reach/way"
require_relative "reach/ways"
require_relative "reach/overview"

module Kippen
  # What a client gets at: whether a want is done and by which button, which button one confirms with,
  # which modes one can come into and out of, what a press does where, what can never come about. All of it asks the resolver
  # and the timing that decide a press;
  # nothing is guessed from lists of assignments.
  module Reach
  end
end
