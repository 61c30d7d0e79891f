# frozen_string_literal: true

module Kippen
  # The actions that can be chosen, with their words. Data: core/data/actions.json.
  class Catalogue
    FORMAT = "actions/1"
    Entry = Struct.new(:id, :name, :effect, :words, :app, :action, keyword_init: true)

    attr_reader :entries

    # Takes JSON text. Raises Invalid.
    def self.read(text)
      document = Formats::StrictJson.read(text, limit: Limits::FITTING_BYTES)
      raise Invalid.at("/kippen", "must be #{FORMAT}") unless document.is_a?(Hash) && document["kippen"] == FORMAT

      new(document)
    end

    def initialize(document)
      @apps = document.fetch("apps").freeze
      @entries = document.fetch("actions").map { |item| entry(item) }.freeze
      @by_action = @entries.to_h { |entry| [entry.action, entry] }.freeze
      freeze
    end

    # action – as in an assignment; nil stands for what the button does by itself.
    # builtin – in words, what that is on this button, or nil.
    def name(action, builtin = nil)
      return builtin || "Built-in" if action.nil? || action["kind"] == "builtin"

      entry = @by_action[action]
      return entry.name if entry

      [action["kind"], *action.except("kind").values.grep(String)].join(" ").slice(0, Limits::NAME_CHARACTERS)
    end

    # What is seen to happen, in a sentence, or nil for an action not in the catalogue.
    def effect(action) = @by_action[action || { "kind" => "builtin" }]&.effect

    # The name of the app an action belongs to, or nil.
    def app_name(action) = action && @apps.fetch(action["app"], action["app"])

    # The name of an app by its id; an unknown app keeps its id.
    def app(id) = @apps.fetch(id, id)

    private

    def entry(item)
      Entry.new(id: item.fetch("id"), name: item.fetch("name"), effect: item.fetch("effect"), words: item.fetch("words"),
                app: item.dig("action", "app")&.then { |id| @apps.fetch(id) }, action: item.fetch("action").freeze).freeze
    end
  end
end
