# frozen_string_literal: true

require_relative "helper"

module Kippen
  # The data that ship, and a client of the demo's kind with devices of them.
  module KindsData
    DATA = File.expand_path("../data", __dir__)
    KINDS = Kinds.read(Dir[File.join(DATA, "kinds", "*.json")].map { |file| File.read(file) })
    CATALOGUE = Catalogue.read(Dir[File.join(DATA, "actions", "*.json")].map { |file| File.read(file) }, File.read(File.join(DATA, "apps.json")))
    COMBINATIONS = Catalogue::Combinations.read(CATALOGUE, *%w[apps kept-combinations].map { |name| File.read(File.join(DATA, "#{name}.json")) })
    ARRANGEMENTS = Arrangements.read(File.read(File.join(DATA, "arrangements.json")))
    SETTINGS = Settings.read(File.read(File.join(DATA, "settings.json")))
    CODES = Kinds::Codes.read(*%w[keys buttons].map { |name| File.read(File.join(DATA, "codes", "#{name}.json")) })
    NOON = "2026-11-25T12:00:00Z"

    HOSTS = [{ "id" => "desk", "name" => "Computer", "system" => "computer" }, { "id" => "tv", "name" => "Television", "system" => "television" }].freeze

    def bare(members = {}) = Fitting.read({ "kippen" => "fitting/1", "hosts" => HOSTS }.merge(members))

    def add(fitting, kind, **given) = Fitting::DeviceEdits.add(fitting, KINDS.find(kind), given.transform_keys(&:to_s))

    def with_devices(*kinds) = kinds.reduce(bare) { |fitting, kind| add(fitting, kind) }
  end
end
