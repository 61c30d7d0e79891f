# frozen_string_literal: true

module Kippen
  class Fitting
    # Reads the apps of a fitting: what each is called, where it exists, which commands of its own it has.
    class AppsReader
      include Members

      COMMANDS = 200
      WORDS = 300
      # What a command may say of itself, in words.
      TEXTS = %w[effect words after undo].freeze

      def initialize(document, faults)
        @document = document
        @faults = faults
      end

      def apps
        found = objects(@document, "apps", Limits::APPS).filter_map { |item, pointer| app(item, pointer) }
        unique("/apps", found)
        found.freeze
      end

      private

      def app(item, pointer)
        id = id(item, pointer) or return
        commands = objects(item, "commands", COMMANDS, pointer).filter_map { |command, at| command(command, at) }
        unique("#{pointer}/commands", commands)
        flag(item, "offered", pointer)
        App.new(id:, name: words(item, "name", pointer) || Apps.named(id),
                hosts: systems(item, "hosts", ListReader::SYSTEMS, pointer),
                commands: commands.freeze).freeze
      end

      def command(item, pointer)
        id = id(item, pointer) or return
        TEXTS.each { |member| text(item, member, pointer) }
        harm(item, pointer)
        keys = item["keys"]
        fault = keys && Catalogue::Combination.fault(keys)
        @faults.add("#{pointer}/keys", fault) if fault
        Command.new(id:, name: words(item, "name", pointer) || Apps.named(id), keys:,
                    locked: systems(item, "locked", [], pointer),
                    facts: item.slice(*TEXTS, "harm")).freeze
      end

      def id(item, pointer)
        return item["id"] if Ids.ok?(item["id"])

        @faults.add("#{pointer}/id", Words.say(:must_be_like, value: Faults.show(item["id"]), allowed: Ids::ALLOWED))
      end

      def systems(item, member, default, pointer)
        list = item.fetch(member, default)
        return list if list.is_a?(Array) && (list - ListReader::SYSTEMS).empty?

        @faults.add("#{pointer}/#{member}", Words.say(:must_be_an_array_of, allowed: ListReader::SYSTEMS.join(", "))) || default
      end

      def text(item, member, pointer)
        value = item[member]
        return if value.nil? || (value.is_a?(String) && value.length <= WORDS)

        @faults.add("#{pointer}/#{member}", Words.say(:must_text_most_characters, value: WORDS))
      end

      def harm(item, pointer)
        harm = item["harm"]
        if harm.nil? || (harm.is_a?(Hash) && WantsReader::WRONG.include?(harm["cost"]) && harm["words"].is_a?(String) &&
                         harm["words"].length <= WORDS)
          return
        end

        @faults.add("#{pointer}/harm", Words.say(:must_object_with_cost_one, allowed: WantsReader::WRONG.join(", ")))
      end
    end
  end
end
