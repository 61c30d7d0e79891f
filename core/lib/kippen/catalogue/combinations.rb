# frozen_string_literal: true

module Kippen
  class Catalogue
    # What a combination of keys is: the command it stands for, in which app, and who keeps it
    # for itself. Data: the apps' commands, core/data/kept-combinations.json.
    class Combinations
      FORMAT = "kept-combinations/1"
      # command – the Entry it is by itself, or nil; apps – [Entry] of apps that have a command of
      # their own on it; kept – { "why", "by" => "system" | "browser" } or nil
      Found = Struct.new(:keys, :label, :command, :apps, :kept, keyword_init: true)

      # text – JSON. Raises Invalid.
      def self.read(catalogue, text)
        document = Formats::StrictJson.read(text, limit: Limits::FITTING_BYTES)
        raise Invalid.at("/kippen", Words.say(:must_be, value: FORMAT)) unless document["kippen"] == FORMAT

        new(catalogue, document.fetch("kept").to_h { |one| [one["keys"], one.slice("why", "by")] })
      end

      # kept – { keys => { "why", "by" } }
      def initialize(catalogue, kept)
        @catalogue = catalogue
        @of_apps = catalogue.by_keys
        @kept = kept
        freeze
      end

      # The same, with the apps of a fitting.
      def of(fitting) = Combinations.new(@catalogue.of(fitting), @kept.merge(of_hosts(fitting)))

      # keys – in any order. Raises Invalid.
      def find(keys)
        fault = Combination.fault(keys)
        raise Invalid.at("/keys", fault) if fault

        keys = Combination.sorted(keys)
        Found.new(keys:, label: Combination.label(keys), command: @catalogue.fixed("kind" => "keys", "keys" => keys),
                  apps: @of_apps.fetch(keys, []), kept: @kept[keys])
      end

      # All combinations that are told: those of apps and those that are kept.
      def all = (@of_apps.keys | @kept.keys)

      private

      # What somebody said that a host of the client keeps.
      def of_hosts(fitting)
        fitting.hosts.flat_map do |host|
          (host.corrected || {}).fetch("keeps", []).map do |one|
            [Combination.sorted(one["keys"]),
             { "why" => Words.say(:host_keeps, host: host.name || host.id, why: one["why"]), "by" => "system" }]
          end
        end.to_h
      end
    end
  end
end
