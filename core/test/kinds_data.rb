# frozen_string_literal: true

require_relative "helper"

module Kippen
  # The data that ship, and a client of the demo's kind with devices of them.
  module KindsData
    DATA = File.expand_path("../data", __dir__)
    KNOWLEDGE = Knowledge.read(DataFolder.texts(DATA))
    # Made-up apps, as a client might have them.
    APPS = JSON.parse(File.read(File.expand_path("apps.json", __dir__))).freeze
    WITH_APPS = Fitting.read("kippen" => "fitting/1", "apps" => APPS)
    KINDS, CODES, _, _, ARRANGEMENTS, SETTINGS = *KNOWLEDGE
    KNOWN = KNOWLEDGE.of(WITH_APPS)
    CATALOGUE = KNOWN.catalogue
    COMBINATIONS = KNOWLEDGE.combinations.of(WITH_APPS)
    NOON = "2026-11-25T12:00:00Z"

    HOSTS = [{ "id" => "desk", "name" => "Computer", "system" => "computer" },
             { "id" => "tv", "name" => "Television", "system" => "television" }].freeze

    def bare(members = {}) = Fitting.read({ "kippen" => "fitting/1", "hosts" => HOSTS, "apps" => APPS }.merge(members))

    # What a change comes to: a Changes::Finish::Result.
    def result(fitting, kind, **given)
      change = Changes.read({ "kind" => kind }.merge(given.transform_keys(&:to_s)))
      Changes.make(fitting, change, knowledge: KNOWLEDGE, by: "Hollis", at: NOON)
    end

    # The Fitting after a change.
    def made(fitting, kind, **given) = result(fitting, kind, **given).fitting

    def add(fitting, of, **given) = made(fitting, "add_device", of:, **given)

    def with_devices(*kinds) = kinds.reduce(bare) { |fitting, kind| add(fitting, kind) }
  end
end
