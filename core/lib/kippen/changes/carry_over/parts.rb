# frozen_string_literal: true

module Kippen
  module Changes
    class CarryOver
      # What assignments that are carried over speak of: under which ids it is here. What is here already under that name is
      # taken for it; what isn't comes along once something speaks of it.
      class Parts
        # from – the Fitting they come from; host – Fitting::Host they come to; taken – [NewDevice or Onto]
        def initialize(draft, from, host)
          @draft = draft
          @from = from
          @host = host
          @ids = Hash.new { |all, list| all[list] = {} }
        end

        # An assignment as it is here.
        # refs – { button there => button here }
        def item(item, refs)
          action = action(item["action"], refs)
          made = item.merge("button" => refs.fetch(item["button"]), "action" => action)
          made = made.merge("place" => place(item["place"])) if item.key?("place") && item["place"] != Fitting::EVERYWHERE
          made = made.merge("mode" => mode(item["mode"])) if item.key?("mode") && item["mode"] != Fitting::BASE
          made
        end

        # The id of a kind of the other fitting's own, as it is here; nil, and what ships, stay.
        def kind(id)
          document = @from.list("kinds").find { |one| one["id"] == id } or return id

          @ids["kinds"][id] ||= begin
            PutKind.new(document: document.except("by", "at")).make(@draft)
            @draft.list("kinds").to_a.reverse.find { |one| PutKind.same?(one.merge("id" => id), document) }.fetch("id")
          end
        end

        private

        def action(action, refs)
          made = Steps.map(action) { |part| part(part) }
          return made unless action["stop"].is_a?(String)

          Draft.with(made, "stop" => refs.fetch(action["stop"], nil))
        end

        # A shortlist brings its own mode along.
        def part(part)
          list = shortlist(part["shortlist"]) if part["shortlist"]
          made = part
          made = made.merge("shortlist" => list) if list
          made = made.merge("mode" => mode(part["mode"])) if part["mode"].is_a?(String)
          made = made.merge("app" => app(part["app"])) if part["app"].is_a?(String)
          made
        end

        def mode(id)
          @ids["modes"][id] ||= begin
            item = @from.list("modes").find { |one| one["id"] == id } || { "id" => id }
            list = item["shortlist"]
            list ? mode_of(shortlist(list)) || added("modes", item.merge("shortlist" => shortlist(list))) : same_or_added(item)
          end
        end

        def mode_of(shortlist) = @draft.list("modes").to_a.find { |one| one["shortlist"] == shortlist }&.fetch("id")

        def same_or_added(item) = alike("modes", item) { |one| one["shortlist"].nil? } || added("modes", item)

        # One of the same name, else a copy of it.
        def alike(list, item)
          @draft.list(list).to_a.find { |one| one["name"] && one["name"] == item["name"] && yield(one) }&.fetch("id")
        end

        def added(list, item)
          id = Fitting::OwnIds.from(item["name"] || item["id"], [Fitting::BASE, Fitting::EVERYWHERE, *@draft.ids(list)],
                                    list.delete_suffix("s"))
          @draft.list(list).put(item.merge("id" => id))
          id
        end

        def shortlist(id)
          @ids["shortlists"][id] ||= begin
            item = @from.list("shortlists").find { |one| one["id"] == id }
            there = item && @draft.list("shortlists").to_a.find { |one| one["name"] == item["name"] && host_of(one) == @host.id }
            there ? there["id"] : copied(item)
          end
        end

        def host_of(list) = list.fetch("host") { @draft.list("hosts").ids.first }

        # With its mode, where it is stepped through.
        def copied(item)
          lines = item.fetch("items", []).map { |line| line.merge("action" => Steps.map(line["action"]) { |part| plain(part) }) }
          lines = shown(lines, item["name"] || item["id"])
          id = added("shortlists", item.merge("items" => lines, "host" => @host.id))
          mode = @from.list("modes").find { |one| one["shortlist"] == item["id"] }
          added("modes", mode.merge("shortlist" => id)) if mode
          id
        end

        # As many as the host shows, of those that it has; the others are told.
        def shown(lines, name)
          most = @draft.knowledge.host_kinds.at(@host).most
          there = lines.select { |line| (@draft.catalogue.hosts(line["action"]) || [@host.system]).include?(@host.system) }
          gone = (lines - there.first(most)).map { |line| line["name"] || @draft.catalogue.name(line["action"]) }
          @draft.left_out << Words.say(:lines_not_there, name:, host: @host.name || @host.id, gone: gone.join(", ")) if gone.any?
          there.first(most)
        end

        # A line of a shortlist: its app, and no list that might lead back to itself.
        def plain(part) = part["app"].is_a?(String) ? part.merge("app" => app(part["app"])) : part

        def place(id)
          @ids["places"][id] ||= begin
            item = @from.list("places").find { |one| one["id"] == id }
            where = { "app" => app(item["app"]), "part" => item["part"] }.compact
            there = @draft.list("places").to_a.find { |one| one.values_at("app", "part") == where.values_at("app", "part") }
            there ? there["id"] : added("places", item.merge(where))
          end
        end

        # By its name; what is only spoken of keeps its id.
        def app(id)
          return id if id == Fitting::SCREEN

          item = @from.list("apps").find { |one| one["id"] == id } or return id
          @ids["apps"][id] ||= begin
            like = NamedApp.like(item["name"].to_s)
            there = @draft.list("apps").to_a.find { |one| NamedApp.like(one["name"].to_s) == like }
            there ? there["id"] : added_app(item)
          end
        end

        def added_app(item)
          taken = @draft.before.apps.map(&:id) | @draft.list("apps").ids
          id = taken.include?(item["id"]) ? Fitting::OwnIds.from(item["name"], taken, "app") : item["id"]
          @draft.list("apps").put(item.merge("id" => id))
          id
        end
      end
    end
  end
end
