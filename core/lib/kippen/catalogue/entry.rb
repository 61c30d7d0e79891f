# frozen_string_literal: true

module Kippen
  class Catalogue
    # One action that can be chosen. Frozen.
    class Entry
      # hosts – systems on which it exists; locked – those where it works with the screen locked
      # needs, after, undo, undone_by, harm – what it needs; what the client must do after it; what
      # takes it back (words, or the id of another entry); { "cost", "words" } of a wrong one
      FACTS = %w[needs after undo undone_by].freeze

      # topic – as it is found
      attr_reader :data, :id, :name, :words, :topic, :group, :group_name, :app, :action, :asks, :hosts, :locked, :harm, :facts

      # JSON objects for [Fitting::App, Fitting::Command].
      def self.of_commands(commands)
        commands.map do |app, command|
          { "id" => "#{app.id}/#{command.id}", "name" => command.name, "effect" => "#{app.name}: #{command.name}.",
            "words" => "", "harm" => { "cost" => "nothing", "words" => Words.say(:harm_nothing) },
            "action" => { "kind" => "app", "app" => app.id, "command" => command.id }, "hosts" => app.hosts,
            "locked" => command.locked & app.hosts,
            "needs" => Words.say(:on_that_host, app: app.name) }.merge(command.facts.compact)
        end
      end

      # data – the JSON object; group – [id, name]; apps – { id => name }
      def initialize(data, group, apps)
        @data = data
        @id, @name, @words, @action, @hosts, @locked,
        @harm = data.values_at("id", "name", "words", "action", "hosts", "locked", "harm")
        @called = data.fetch("called", @name)
        @effect = data.fetch("effect")
        @group, @group_name = group
        @app = @action["app"]&.then { |app| apps.fetch(app) }
        @asks = data.fetch("asks", []).map { |ask| Ask.new(ask, apps) }.freeze
        @only = data["only"]
        @facts = data.slice(*FACTS).freeze
        @topic = topic_of(@action)
        @members = @asks.to_h { |ask| [ask.member, ask] }.freeze
        freeze
      end

      # Can nobody see that it was done?
      def silent? = @data.fetch("silent", false)

      # Can it be repeated while held?
      def repeats? = @data.fetch("repeats", false)

      # Is this the entry of an action, whatever was said to what it asks?
      def of?(action)
        action.slice(*@action.keys) == @action && (action.keys - @action.keys - @members.keys).empty? &&
          @asks.all? { |ask| !ask.needed? || action.key?(ask.member) }
      end

      # [[member, what is wrong]…] of an action of this entry.
      def faults(action)
        @asks.filter_map { |ask| action.key?(ask.member) && ask.fault(action[ask.member])&.then { |fault| [ask.member, fault] } }
      end

      # The only gestures that can carry it, or nil for all: what lasts as long as held needs a hold.
      def only(action) = @only || @asks.filter_map { |ask| ask.only(value(ask, action)) }.first

      # Is this what a member is where nothing is said?
      def usual?(member, value) = @members.key?(member) && !@members[member].usual.nil? && @members[member].usual == value

      def name_of(action) = fill(@called, action)
      def effect_of(action) = fill(@effect, action)

      private

      # Found by its combination too, as that is said: "Control C".
      def topic_of(action)
        keys = Array(action["keys"]).map { |key| key.delete_prefix("Key").delete_prefix("Digit") }
        Search::Topic.new(kind: "action", id: @id, name: @name, of: @app, also: [@words, *keys].join(" "))
      end

      def value(ask, action) = action.fetch(ask.member, ask.usual)

      def fill(words, action)
        words.gsub(/\{(\w+)\}/) { (ask = @members[Regexp.last_match(1)]) ? ask.words(value(ask, action)) : "" }
      end
    end
  end
end
