# frozen_string_literal: true

module Kippen
  class Catalogue
    # What a combination of keys is: the command it stands for, in which app, and who keeps it
    # for itself. Data: core/data/apps.json and core/data/kept-combinations.json.
    class Combinations
      FORMAT = "kept-combinations/1"
      # command – the Entry it is by itself, or nil; apps – [Entry] of apps that have a command of
      # their own on it; kept – { "why", "by" => "system" | "browser" } or nil
      Found = Struct.new(:keys, :label, :command, :apps, :kept, keyword_init: true)

      # apps, kept – JSON texts
      def self.read(catalogue, apps, kept)
        documents = [apps, kept].map { |text| Formats::StrictJson.read(text, limit: Limits::FITTING_BYTES) }
        raise Invalid.at("/kippen", "must be #{FORMAT}") unless documents[1]["kippen"] == FORMAT

        new(catalogue, documents[0].fetch("apps"), documents[1].fetch("kept"))
      end

      def initialize(catalogue, apps, kept)
        @catalogue = catalogue
        @of_apps = apps.flat_map { |app| app["combinations"] }.group_by { |one| one["keys"] }
        @kept = kept.to_h { |one| [one["keys"], one.slice("why", "by")] }
        freeze
      end

      # keys – in any order. Raises Invalid.
      def find(keys)
        fault = Combination.fault(keys)
        raise Invalid.at("/keys", fault) if fault

        keys = Combination.sorted(keys)
        Found.new(keys:, label: Combination.label(keys), command: @catalogue.fixed("kind" => "keys", "keys" => keys),
                  apps: @of_apps.fetch(keys, []).map { |one| @catalogue.find(one["action"]) }, kept: @kept[keys])
      end

      # All combinations that are told: those of apps and those that are kept.
      def all = (@of_apps.keys | @kept.keys)
    end
  end
end
