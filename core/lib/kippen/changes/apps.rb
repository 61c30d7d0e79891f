# frozen_string_literal: true

module Kippen
  module Changes
    # app – { "id", "name", "hosts", "commands" => [{ "id", "name", "keys" }] }; without an id it is a
    # new one. An app that was only spoken of is written down from now on. Of a command that stays,
    # what isn't said stays too; one that is not named goes.
    class PutApp < Change.of("app", :app)
      def make(draft)
        list = draft.list("apps")
        id = app["id"] || Fitting::OwnIds.from(app["name"], draft.before.apps.map(&:id), "app")
        old = list.find(id) || {}
        list.put(Draft.with(old, app.merge("id" => id, "commands" => commands(old.fetch("commands", [])))))
        draft.notes.concat(gone_from(draft.before, id)) if app["hosts"]
      end

      private

      # Sentences on hosts where it was, and where it still is assigned.
      def gone_from(fitting, id)
        was = fitting.apps.find { |one| one.id == id }&.hosts || []
        gone = using(fitting, id).group_by { |button| fitting.host(button.host) }.select { |host, _| host && (was - app["hosts"]).include?(host.system) }
        gone.map do |host, buttons|
          Words.say(:app_gone_from, app: app["name"], host: host.name || host.id, where: buttons.map { |button| button.name || button.id }.join(", "))
        end
      end

      # Buttons on which something of an app is assigned.
      def using(fitting, id)
        fitting.assignments.select { |one| one.action && one.action["app"] == id }.map { |one| fitting.button(one.button) }.uniq
      end

      def commands(old)
        ids = app.fetch("commands", []).filter_map { |command| command["id"] }
        app.fetch("commands", []).map do |command|
          id = command["id"] || Fitting::OwnIds.from(command["name"], ids, "command").tap { |made| ids << made }
          Draft.with(old.find { |one| one["id"] == id } || {}, command.merge("id" => id))
        end
      end
    end

    # An action may name its app as people call it, { "app" => { "name" => "Letterbox" } }: that is the
    # client's app of this name, or one that is written down by it.
    module NamedApp
      module_function

      # Returns the action with the app's id.
      def settle(draft, action)
        name = action["app"]["name"] if action["app"].is_a?(Hash)
        return action unless name.is_a?(String) && !name.strip.empty?

        action.merge("app" => known(draft, name.strip) || write_down(draft, name.strip))
      end

      def known(draft, name)
        apps = draft.before.apps.map { |app| [app.id, app.name] } + draft.list("apps").to_a.map { |app| app.values_at("id", "name") }
        apps.find { |_, other| like(other.to_s) == like(name) }&.first
      end

      # However it is written: small or large, in one or two signs.
      def like(name) = name.unicode_normalize(:nfkc).downcase(:fold)

      def write_down(draft, name)
        id = Fitting::OwnIds.from(name, draft.before.apps.map(&:id) | draft.list("apps").ids, "app")
        draft.list("apps").put("id" => id, "name" => name)
        id
      end
      private_class_method :known, :like, :write_down
    end

    # An app goes when no place, action or want speaks of it.
    class RemoveApp < Change.of("remove_app", :id)
      def make(draft)
        raise Invalid.at("/apps", "no app #{Faults.show(id)}") unless draft.list("apps").delete(id)

        left = Fitting.read(draft.document).apps.find { |app| app.id == id } or return
        raise Invalid.at("/apps", "#{left.name} is still used, by a place, an assignment or a want: change those first")
      end
    end
  end
end
