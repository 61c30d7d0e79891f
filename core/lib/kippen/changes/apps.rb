# frozen_string_literal: true

module Kippen
  module Changes
    # app – { "id", "name", "hosts", "offered", "commands" => [{ "id", "name", "keys" }] }; without an id it is a
    # new one. An app that was only spoken of is written down from now on. Of a command that stays,
    # what isn't said stays too; one that is not named goes.
    class PutApp < Change.of("app", :app)
      def make(draft)
        list = draft.list("apps")
        id = app["id"] || Fitting::OwnIds.from(app["name"], draft.before.apps.map(&:id), "app")
        old = list.find(id) || {}
        list.put(Draft.with(old, app.merge("id" => id, "commands" => commands(old.fetch("commands", [])))))
        was = draft.before.apps.find { |one| one.id == id }&.hosts || []
        (was - app.fetch("hosts", was)).each { |system| gone_from(draft, id, system) }
      end

      private

      # Where it is no longer, what is assigned with it is switched off, and told.
      def gone_from(draft, id, system)
        hosts = draft.before.hosts.select { |host| host.system == system }
        draft.before.buttons.each do |button|
          host = hosts.find { |one| one.id == button.host } or next
          draft.rows.of(button.ref).each do |item|
            switch_off(draft, button, host, item) if Steps.parts(item["action"]).any? { |part| part["app"] == id }
          end
        end
      end

      def switch_off(draft, button, host, item)
        return if item["off"]

        draft.rows.put(item.merge("off" => true))
        where = [Words.button(draft.before.device(button.device), button), Words.gesture(item["gesture"])].join(", ")
        draft.left_out << Words.say(:app_gone_from, where:, app: app["name"], host: host.name || host.id)
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

      # Returns the action with the app's id, that of each of its steps.
      def settle(draft, action) = Steps.map(action) { |part| settle_one(draft, part) }

      def settle_one(draft, action)
        name = action["app"]["name"] if action["app"].is_a?(Hash)
        return action unless name.is_a?(String) && !name.strip.empty?

        action.merge("app" => known(draft, name.strip) || write_down(draft, name.strip))
      end

      def known(draft, name)
        apps = draft.before.apps.map { |app| [app.id, app.name] } + draft.list("apps").to_a.map do |app|
          app.values_at("id", "name")
        end
        apps.find { |_, other| like(other.to_s) == like(name) }&.first
      end

      # However it is written: small or large, in one or two signs.
      def like(name) = name.unicode_normalize(:nfkc).downcase(:fold)

      def write_down(draft, name)
        id = Fitting::OwnIds.from(name, draft.before.apps.map(&:id) | draft.list("apps").ids, "app")
        draft.list("apps").put("id" => id, "name" => name)
        id
      end
      private_class_method :settle_one, :known, :write_down
    end

    # A place may be named by its app, { "app" => id or name }: the app as a whole.
    module WholeApp
      module_function

      # Returns the place's id; written down where there is none yet.
      def place(draft, named)
        app = NamedApp.settle(draft, named.slice("app"))["app"]
        list = draft.list("places")
        found = list.to_a.find { |place| place["app"] == app && place["part"].nil? } and return found["id"]

        name = name_of(draft, app)
        Fitting::OwnIds.from(name, [Fitting::EVERYWHERE, *draft.ids("places")], "place").tap do |id|
          list.put("id" => id, "app" => app, "name" => name)
        end
      end

      def name_of(draft, app)
        written = draft.list("apps").find(app) || {}
        written["name"] || draft.before.apps.find { |one| one.id == app }&.name || Fitting::Apps.named(app)
      end
    end

    # An app goes when no place, action or want speaks of it.
    class RemoveApp < Change.of("remove_app", :id)
      def make(draft)
        raise Invalid.at("/apps", Words.say(:no_app, id: Faults.show(id))) unless draft.list("apps").delete(id)

        left = Fitting.read(draft.document).apps.find { |app| app.id == id } or return
        raise Invalid.at("/apps", Words.say(:still_used_place_assignment_want, left: left.name))
      end
    end
  end
end
