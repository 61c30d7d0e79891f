# frozen_string_literal: true

require_relative "reach/ways_in"
require_relative "reach/does"
require_relative "reach/wants"
require_relative "reach/main_job"
require_relative "reach/free_places"

module Kippen
  # What a client gets at: whether a want is done and by which button, which button one confirms with,
  # which modes one can come into. All of it asks the resolver and the timing that decide a press;
  # nothing is guessed from lists of assignments.
  module Reach
  end
end
