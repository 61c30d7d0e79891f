# frozen_string_literal: true

module Kippen
  class Fitting
    # The apps of a client: those that are written down, and those that places and actions speak of,
    # with the commands that are spoken of.
    module Apps
      module_function

      # declared – [App] as read; places – [Place]; actions – JSON objects. Returns [App].
      def all(declared, places, actions)
        spoken = Hash.new { |found, id| found[id] = [] }
        places.each { |place| spoken[place.app] if place.app }
        actions.flat_map { |action| Steps.parts(action) }.each { |action| speaks_of(action, spoken) }
        known = declared.to_h { |app| [app.id, app] }
        (known.keys | spoken.keys).map { |id| with_commands(known[id] || undeclared(id), spoken.fetch(id, [])) }.freeze
      end

      # An id as a name, where nobody gave one: next-page is Next page.
      def named(id) = id.tr("-_.", " ").strip.then { |words| words.empty? ? id : words[0].upcase + words[1..] }

      def speaks_of(action, spoken)
        app, command = action.values_at("app", "command")
        return unless Ids.ok?(app)

        spoken[app] |= [command] if action["kind"] == "app" && Ids.ok?(command)
        spoken[app]
      end

      def undeclared(id) = App.new(id:, name: named(id), hosts: ListReader::SYSTEMS, commands: [].freeze).freeze

      def with_commands(app, spoken)
        missing = spoken - app.commands.map(&:id)
        return app if missing.empty?

        made = missing.map { |id| Command.new(id:, name: named(id), keys: nil, locked: [], facts: {}).freeze }
        app.dup.tap { |more| more.commands = [*app.commands, *made].freeze }.freeze
      end
      private_class_method :speaks_of, :undeclared, :with_commands
    end
  end
end
