# frozen_string_literal: true

require_relative "arrangements/arrangement"

module Kippen
  # Ready-made arrangements of several assignments at once, and a client's own saved ones.
  # Data: core/data/arrangements.json; a client's own lie in the fitting's "arrangements".
  class Arrangements
    FORMAT = "arrangements/1"

    # Takes JSON text. Raises Invalid.
    def self.read(text)
      document = Formats::StrictJson.read(text, limit: Limits::FITTING_BYTES)
      raise Invalid.at("/kippen", Words.say(:must_be, value: FORMAT)) unless document["kippen"] == FORMAT

      new(document.fetch("arrangements"))
    end

    def initialize(list) = @ready_made = list.map { |data| Arrangement.new(data, own: false) }.freeze

    # [Arrangement]: the ready-made, then the client's own.
    def all(fitting) = @ready_made + fitting.list("arrangements").map { |data| Arrangement.new(data, own: true) }

    # Raises Invalid for one that is not there.
    def find(fitting, id)
      all(fitting).find { |one| one.id == id } ||
        raise(Invalid.at("/change/arrangement", Words.say(:no_arrangement, id: Faults.show(id))))
    end
  end
end
