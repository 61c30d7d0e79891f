# frozen_string_literal: true

require "que"

# The tables of the jobs, as the library that runs them wants them.
Sequel.migration do
  up do
    Que.connection = self
    Que.migrate!(version: 7)
  end
end
