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
      end

      private

      def commands(old)
        ids = app.fetch("commands", []).filter_map { |command| command["id"] }
        app.fetch("commands", []).map do |command|
          id = command["id"] || Fitting::OwnIds.from(command["name"], ids, "command").tap { |made| ids << made }
          Draft.with(old.find { |one| one["id"] == id } || {}, command.merge("id" => id))
        end
      end
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
