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
      raise Invalid.at("/kippen", "must be #{FORMAT}") unless document["kippen"] == FORMAT

      new(document.fetch("arrangements"))
    end

    def initialize(list) = @ready_made = list.map { |data| Arrangement.new(data, own: false) }.freeze

    # [Arrangement]: the ready-made, then the client's own.
    def all(fitting) = @ready_made + fitting.list("arrangements").map { |data| Arrangement.new(data, own: true) }

    # Raises Invalid for one that is not there.
    def find(fitting, id)
      all(fitting).find { |one| one.id == id } || raise(Invalid.at("/change/arrangement", "no arrangement #{Faults.show(id)}"))
    end

    # What is assigned to a device, kept under a name for use on another or later. Buttons are
    # known again by their id, their role or their name.
    def self.save(fitting, kinds, device:, name:)
      found = fitting.device(device) || raise(Invalid.at("/change/device", "no device #{Faults.show(device)}"))
      parts = fitting.list("assignments").filter_map { |item| part(found, kinds, item) }
      raise Invalid.at("/change/device", "nothing is assigned on #{found.name || device}") if parts.empty?

      list = fitting.list("arrangements")
      id = Fitting::OwnIds.from("own #{name}", list.map { |one| one["id"] }, "own")
      fitting.with("arrangements" => [*list, { "id" => id, "name" => name, "kind" => found.kind, "parts" => parts }.compact])
    end

    def self.remove(fitting, id)
      list = fitting.list("arrangements")
      raise Invalid.at("/change/arrangement", "no arrangement #{Faults.show(id)} of this client") unless list.any? { |one| one["id"] == id }

      fitting.with("arrangements" => list.reject { |one| one["id"] == id })
    end

    def self.part(device, kinds, item)
      button = device.buttons.find { |one| one.ref == item["button"] } or return
      item.except("button").merge({ "button" => button.id, "name" => button.name, "role" => kinds.button(device, button)&.fetch("role", nil) }.compact)
    end
    private_class_method :part
  end
end
