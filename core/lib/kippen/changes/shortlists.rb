# frozen_string_literal: true

module Kippen
  module Changes
    # shortlist – { "id", "name", "host", "works", "locked", "items" => [{ "action", "name" }] }; without an id
    # it is a new one. One that is stepped through has a mode of its own.
    class PutShortlist < Change.of("shortlist", :shortlist)
      def make(draft)
        list = draft.list("shortlists")
        old = if shortlist["id"]
                list.find(shortlist["id"]) || refuse("id", Words.say(:no_shortlist, id: Faults.show(shortlist["id"])))
              else
                {}
              end
        id = shortlist["id"] || Fitting::OwnIds.from(shortlist["name"], draft.ids("shortlists"), "shortlist")
        item = Draft.with(old, shortlist.merge("id" => id, "items" => items(draft, old))
                                                 .transform_values { |value| value == false ? nil : value })
        check(draft, item)
        list.put(item)
        mode(draft, item)
        reopened(draft, old, item)
      end

      # What opens a shortlist as it stands in a draft.
      def self.opener(draft, item)
        mode = draft.list("modes").to_a.find { |one| one["shortlist"] == item["id"] } if item["works"] == "step"
        return { "kind" => "shortlist", "shortlist" => item["id"] } unless mode

        { "kind" => "mode", "mode" => mode["id"], "how" => "lock", "shortlist" => item["id"] }
      end

      private

      def items(draft, old)
        kept = old.fetch("items", [])
        shortlist.fetch("items", kept).map do |one|
          same = kept.find { |line| line["action"] == one["action"] } || {}
          Draft.with(same, { "name" => one["name"], "action" => NamedApp.settle(draft, one["action"]) })
        end
      end

      def check(draft, item)
        host = draft.view.host(item.fetch("host") { draft.before.hosts.first.id }) ||
               refuse("host", Words.say(:unknown_host, host: Faults.show(item["host"])))
        room(draft, item, host)
        faults = item["items"].each_index.filter_map { |index| fault(draft, item, host, index) }
        raise(Invalid, faults) if faults.any?
      end

      # As many as the host shows; while it is locked, where it shows them then.
      def room(draft, item, host)
        kind = draft.knowledge.host_kinds.at(host)
        refuse("items", Words.say(:shortlist_empty)) if item["items"].empty?
        too_many(draft, item, host, kind.most) if item["items"].size > kind.most
        refuse("locked", Words.say(:not_locked_there, host: host.name || host.id)) if item["locked"] && !kind.locked
      end

      def too_many(draft, item, host, most)
        over = item["items"].drop(most).map { |line| line["name"] || draft.catalogue.name(line["action"]) }
        refuse("items", Words.say(:more_lines, host: host.name || host.id, most:, count: item["items"].size,
                                               over: over.join(", ")))
      end

      def fault(draft, item, host, index)
        action = item["items"][index]["action"]
        draft.catalogue.check(action, "/change/shortlist/items/#{index}/action")
        words = cant(draft.catalogue, action, host, item["locked"]) ||
                Cautions.steps(draft.knowledge.host_kinds.at(host), action).first
        words && Fault.new("/change/shortlist/items/#{index}", words)
      end

      # Why a line can't be there, in words, or nil.
      def cant(catalogue, action, host, locked)
        entry = catalogue.entry(action)
        hosts = catalogue.hosts(action)
        name = catalogue.name(action)
        if hosts && !hosts.include?(host.system) then Words.say(:line_not_on_host, action: name, host: host.name || host.id)
        elsif locked && entry && !entry.locked.include?(host.system) then Words.say(:line_not_locked, action: name)
        elsif entry&.only(action) then Words.say(:line_needs_words, action: name)
        end
      end

      # Its mode, where it is stepped through; while it isn't, the mode stays with what stands in it, and nothing takes it.
      def mode(draft, item)
        own = draft.list("modes").to_a.find { |one| one["shortlist"] == item["id"] }
        return if item["works"] != "step"
        return draft.alter("modes", own["id"], "name" => item["name"]) if own

        PutMode.add(draft, { "name" => item["name"], "shortlist" => item["id"] })
      end

      # What opens it goes on opening it, in the way it works now.
      def reopened(draft, old, item)
        return if old.empty? || old.fetch("works", "open") == item.fetch("works", "open")

        was, is = [old, item].map { |one| PutShortlist.opener(draft, one) }
        draft.rows.to_a.select { |row| row["action"] == was }.each do |row|
          draft.rows.put(row.merge("action" => is))
          OpenShortlist.steps(draft, item, Spot.of(row).button) if item["works"] == "step"
        end
      end
    end

    # Opens a shortlist with a gesture of a button. Where it is stepped through, that button steps it: a
    # tap marks the next line, a long-press does the marked one; the last line leaves it.
    class OpenShortlist < Change.of("open_shortlist", :shortlist, :button, :gesture,
                                    place: Fitting::EVERYWHERE, mode: Fitting::BASE)
      def make(draft)
        item = draft.list("shortlists").find(shortlist) ||
               refuse("shortlist", Words.say(:no_shortlist, id: Faults.show(shortlist)))
        draft.own_button(button)
        spot = draft.speak_of(Spot.new(button, place, mode))
        Placing.new(draft, spot).put({ "gesture" => gesture, "action" => PutShortlist.opener(draft, item) })
        OpenShortlist.steps(draft, item, button) if item["works"] == "step"
      end

      def self.steps(draft, item, button)
        mode = draft.list("modes").to_a.find { |one| one["shortlist"] == item["id"] } or return
        list = Fitting::Shortlist.new(id: item["id"], items: [])
        spot = draft.speak_of(Spot.new(button, Fitting::EVERYWHERE, mode["id"]))
        does = Catalogue::OwnActions.steps(list)
        { "tap" => "next", "long_press" => "take" }.each do |gesture, step|
          Placing.new(draft, spot).put({ "gesture" => gesture, "action" => does[step] })
        end
      end
    end

    # A shortlist goes when nothing opens it any more.
    class RemoveShortlist < Change.of("remove_shortlist", :id)
      def make(draft)
        item = draft.list("shortlists").find(id) || refuse("id", Words.say(:no_shortlist, id: Faults.show(id)))
        mode = draft.list("modes").to_a.find { |one| one["shortlist"] == id }
        draft.list("shortlists").delete(id)
        draft.list("modes").delete(mode["id"]) if mode
        Aside.put(draft, "shortlist", item.merge({ "mode" => mode }.compact)) do |row|
          RemoveShortlist.speaks_of?(row["action"], id) || (mode && Spot.of(row).mode == mode["id"])
        end
      end

      def self.speaks_of?(action, id) = Steps.parts(action).any? { |part| part["shortlist"] == id }
    end
  end
end
