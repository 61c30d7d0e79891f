# frozen_string_literal: true

require_relative "catalogue/ask"
require_relative "catalogue/combination"
require_relative "catalogue/entry"
require_relative "catalogue/combinations"

module Kippen
  # The actions that can be chosen, with all that must be known before. Data: core/data/actions,
  # one file a group, and core/data/apps.json.
  class Catalogue
    FORMAT = "actions/1"
    APPS = "apps/1"
    EFFECT_CHARACTERS = 300

    attr_reader :entries

    # texts – JSON texts, one a group; apps – the JSON text of the apps. Raises Invalid.
    def self.read(texts, apps)
      groups = texts.map { |text| document(text, FORMAT) }.sort_by { |group| group.fetch("place") }
      new(groups, document(apps, APPS).fetch("apps").to_h { |app| [app["id"], app["name"]] })
    end

    def self.document(text, format)
      document = Formats::StrictJson.read(text, limit: Limits::FITTING_BYTES)
      raise Invalid.at("/kippen", "must be #{format}") unless document.is_a?(Hash) && document["kippen"] == format

      document
    end
    private_class_method :document

    def initialize(groups, apps)
      @apps = apps.freeze
      @entries = groups.flat_map do |group|
        group.fetch("actions").map { |item| Entry.new(item, group.values_at("group", "name"), apps) }
      end.freeze
      @by_id = @entries.to_h { |entry| [entry.id, entry] }.freeze
      without, asking = @entries.partition { |entry| entry.asks.empty? }
      @fixed = without.to_h { |entry| [entry.action, entry] }.freeze
      @asking = asking.group_by { |entry| entry.action["kind"] }.freeze
      freeze
    end

    # The Entry by its id, or nil.
    def find(id) = @by_id[id]

    # The Entry of an action as it stands in an assignment, or nil for one not in the catalogue.
    def entry(action) = fixed(action) || @asking.fetch(action["kind"], []).find { |entry| entry.of?(action) }

    # Only among those that ask nothing.
    def fixed(action) = @fixed[action]

    # An action without what is as it usually is: two that do the same are equal.
    def plain(action)
      entry = entry(action)
      entry ? action.reject { |member, value| entry.usual?(member, value) } : action
    end

    # An action with what is as it usually is said too.
    def whole(action)
      asks = entry(action)&.asks || []
      asks.reject { |ask| ask.usual.nil? }.to_h { |ask| [ask.member, ask.usual] }.merge(action)
    end

    # action – nil stands for what the button does by itself.
    # builtin – in words, what that is on this button, or nil.
    def name(action, builtin = nil)
      return builtin || "Built-in" if action.nil? || action["kind"] == "builtin"

      entry = entry(action)
      return entry.name_of(action).slice(0, Limits::NAME_CHARACTERS) if entry

      [action["kind"], *action.except("kind").values.grep(String)].join(" ").slice(0, Limits::NAME_CHARACTERS)
    end

    # What is seen to happen, in a sentence, or nil for an action not in the catalogue.
    def effect(action)
      action ||= { "kind" => "builtin" }
      entry(action)&.effect_of(action)&.slice(0, EFFECT_CHARACTERS)
    end

    # Raises Invalid where what an action of the catalogue asks is not answered right. One
    # that is not in it is kept as it is.
    def check(action, pointer)
      faults = entry(action)&.faults(action) || []
      raise(Invalid, faults.map { |member, fault| Fault.new("#{pointer}/#{member}", fault) }) if faults.any?
    end

    # { id => name } of the apps.
    attr_reader :apps

    # The name of the app an action belongs to, or nil.
    def app_name(action) = action && app(action["app"])

    # The name of an app by its id; an unknown app keeps its id.
    def app(id) = @apps.fetch(id, id)
  end
end
