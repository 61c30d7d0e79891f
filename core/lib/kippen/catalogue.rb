# frozen_string_literal: true

require_relative "catalogue/ask"
require_relative "catalogue/combination"
require_relative "catalogue/own_actions"
require_relative "catalogue/entry"
require_relative "catalogue/several"
require_relative "catalogue/combinations"

module Kippen
  # The actions that can be chosen, with all that must be known before. Data: core/data/actions,
  # one file a group. What apps can do by commands of their own comes from the client's fitting.
  class Catalogue
    FORMAT = "actions/1"
    APPS_GROUP = "apps"
    EFFECT_CHARACTERS = 300

    attr_reader :entries

    # texts – JSON texts, one a group. Raises Invalid.
    def self.read(texts) = new(texts.map { |text| document(text) }.sort_by { |group| group.fetch("place") })

    def self.document(text)
      document = Formats::StrictJson.read(text, limit: Limits::FITTING_BYTES)
      raise Invalid.at("/kippen", Words.say(:must_be, value: FORMAT)) unless document.is_a?(Hash) && document["kippen"] == FORMAT

      document
    end
    private_class_method :document

    # groups – JSON objects; apps – [Fitting::App]; known – entries that are the same whatever apps there are,
    # by their JSON object
    def initialize(groups, apps = [], known: {})
      @groups = groups
      @same = known
      @known = apps.to_h { |app| [app.id, app] }.freeze
      @commands = commands(apps)
      @apps = @known.transform_values(&:name).freeze
      @made = {}.compare_by_identity
      @entries = groups.flat_map { |group| entries_of(group) }.freeze
      @of_no_app = @made.select { |_, entry| entry.app.nil? && entry.asks.none? { |ask| ask.type == "app" } }
        .compare_by_identity.freeze
      index
      freeze
    end

    # The same, with the apps, modes and shortlists of a fitting.
    def of(fitting)
      fitting.recall([:catalogue, @groups.object_id]) do
        groups = [*@groups, *OwnActions.groups(fitting)].sort_by { |group| group.fetch("place") }
        Catalogue.new(groups, fitting.apps, known: @of_no_app)
      end
    end

    # { keys => [Entry] } of the apps' own commands.
    def by_keys
      with_keys = @commands.select { |_, command| command.keys }
      by_keys = with_keys.group_by { |_, command| Combination.sorted(command.keys) }
      by_keys.transform_values { |list| list.map { |app, command| find("#{app.id}/#{command.id}") } }
    end

    # The Entry by its id, or nil.
    def find(id) = @by_id[id]

    # The Entry of an action as it stands in an assignment, or nil for one not in the catalogue.
    def entry(action)
      fixed(action) || several(action) || @asking.fetch(action["kind"], []).find { |entry| entry.of?(action) } ||
        unheard_of(action)
    end

    # Only among those that ask nothing.
    def fixed(action) = @fixed[action]

    # An action without what is as it usually is: two that do the same are equal.
    def plain(action)
      entry = entry(action)
      plain = entry ? action.reject { |member, value| entry.usual?(member, value) } : action
      Steps.of(plain) ? Steps.map(plain) { |part| plain(part) } : plain
    end

    # An action with what is as it usually is said too.
    def whole(action)
      asks = entry(action)&.asks || []
      whole = asks.reject { |ask| ask.usual.nil? }.to_h { |ask| [ask.member, ask.usual] }.merge(action)
      Steps.of(whole) ? Steps.map(whole) { |part| whole(part) } : whole
    end

    # action – nil stands for what the button does by itself.
    # builtin – in words, what that is on this button, or nil.
    def name(action, builtin = nil)
      return builtin || Words.say(action.nil? ? :nothing_known : :what_does_itself) if action.nil? || action["kind"] == "builtin"

      entry = entry(action)
      return entry.name_of(action).slice(0, Limits::NAME_CHARACTERS) if entry

      [action["kind"], *action.except("kind").values.grep(String)].join(" ").slice(0, Limits::NAME_CHARACTERS)
    end

    # The systems on which an action exists, and the app it is of; nil where that isn't known.
    def hosts(action, entry = entry(action)) = [entry&.hosts, @known[action["app"]]&.hosts].compact.reduce(:&)

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

    # The names of what of an action doesn't exist on a system.
    def not_on(action, system) = Steps.parts(action).select { |part| hosts(part)&.none?(system) }.map { |part| name(part) }

    # { id => name } of the apps.
    attr_reader :apps

    # The name of the app an action belongs to, or nil.
    def app_name(action) = action && app(action["app"])

    # The name of an app by its id.
    def app(id) = id && @apps.fetch(id) { Fitting::Apps.named(id) }

    private

    def index
      @by_id = @entries.to_h { |entry| [entry.id, entry] }.freeze
      without, asking = @entries.partition { |entry| entry.asks.empty? }
      @fixed = without.to_h { |entry| [entry.action, entry] }.freeze
      @asking = asking.group_by { |entry| entry.action["kind"] }.freeze
    end

    # [[Fitting::App, Fitting::Command]…]
    def commands(apps) = apps.flat_map { |app| app.commands.map { |command| [app, command] } }.freeze

    def entries_of(group)
      items = group["group"] == APPS_GROUP ? group.fetch("actions") + Entry.of_commands(@commands) : group.fetch("actions")
      items.map { |item| @made[item] = @same[item] || Entry.new(item, group.values_at("group", "name"), @apps) }
    end

    # Several steps: their entry is made of theirs.
    def several(action)
      general = action["kind"] == Steps::KIND && Steps.of(action) && @by_id[Steps::KIND] or return
      Several.new(general, @apps, action, self)
    end

    # A command that the client's apps do not have yet: once it is assigned, they do.
    def unheard_of(action)
      unless action.keys.sort == %w[app command kind] && action["kind"] == "app" && action.values.all? do |value|
        Fitting::Ids.ok?(value)
      end
        return
      end

      apps = Fitting::Apps.all(@known.values_at(action["app"]).compact, [], [action])
      item = Entry.of_commands(commands(apps)).find { |one| one["action"] == action }
      Entry.new(item, [APPS_GROUP, @groups.find { |group| group["group"] == APPS_GROUP }&.fetch("name")],
                apps.to_h { |app| [app.id, app.name] })
    end
  end
end
