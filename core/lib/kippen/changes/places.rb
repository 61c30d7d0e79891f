# frozen_string_literal: true

module Kippen
  module Changes
    # place – { "id", "name", "app", "part", "off", "off_from_afar" }; without an id it is a new one. Its app
    # is an id, { "name" => as people call it } or "screen" for a region; its part, a name too. Of one that
    # is there, app and part stay what they are.
    class PutPlace < Change.of("place", :place)
      def make(draft)
        said = place.slice("name", "off", "off_from_afar").transform_values { |value| value == false ? nil : value }
        place["id"] ? alter(draft, said) : add(draft, said)
      end

      private

      def alter(draft, said)
        old = draft.list("places").find(place["id"]) || refuse("id", Words.say(:no_place, id: Faults.show(place["id"])))
        draft.list("places").put(Draft.with(old, said))
      end

      def add(draft, said)
        where = where(draft)
        list = draft.list("places")
        there = list.to_a.find { |one| one.values_at("app", "part") == where.values_at("app", "part") }
        refuse(where["part"] ? "part" : "app", Words.say(:place_there, name: there["name"] || there["id"])) if there

        name = place["name"] || name_of(draft, where)
        id = Fitting::OwnIds.from(name, [Fitting::EVERYWHERE, *draft.ids("places")], "place")
        list.put(Draft.with({ "id" => id, "name" => name }, where.merge(said.except("name"))))
      end

      # { "app", "part" } as ids.
      def where(draft)
        app = NamedApp.settle(draft, place.slice("app"))["app"]
        refuse("app", Words.say(:place_needs_app)) unless Fitting::Ids.ok?(app)
        part = place["part"].to_s.strip
        refuse("part", Words.say(:needs_place)) if part.empty? && app == Fitting::SCREEN
        { "app" => app, "part" => part.empty? ? nil : Fitting::OwnIds.from(part, [], "part") }
      end

      def name_of(draft, where)
        return Words.say(:region_name, part: place["part"].strip) if where["app"] == Fitting::SCREEN

        app = WholeApp.name_of(draft, where["app"])
        where["part"] ? Words.say(:place_name_part, app:, part: place["part"].strip) : app
      end
    end

    # Takes a place out, with all that is assigned there; both may be brought back.
    class RemovePlace < Change.of("remove_place", :id)
      def make(draft)
        item = draft.list("places").find(id) || refuse("id", Words.say(:no_place, id: Faults.show(id)))
        wanted = draft.list("wants").to_a.select { |want| want["place"] == id }
        refuse("id", "#{wanted.map { |want| "“#{want["what"]}”" }.join(", ")} #{Words.say(:place_wanted)}") if wanted.any?

        draft.list("places").delete(id)
        Aside.put(draft, "place", item) { |row| Spot.of(row).place == id }
      end
    end

    # What counts as where the client is: "pointer" or "focus".
    class Follow < Change.of("follow", :follow)
      def make(draft) = draft.set("follow", follow)
    end

    # A place, mode or shortlist that goes, with what was assigned by its help.
    module Aside
      module_function

      # item – as it stood in its list; yields each assignment: does it go along?
      def put(draft, what, item, &)
        gone = draft.rows.to_a.select(&)
        gone.each { |row| draft.rows.delete(Spot.of(row), row["gesture"]) }
        # What follows another has it again by following.
        kept = gone.reject { |row| draft.list("links").find(row["button"].split("/").first) }
        draft.put_aside({ "id" => "#{what}:#{item["id"]}", "name" => item["name"] || item["id"], what => item,
                          "assignments" => kept })
        draft.notes << Words.say(:stays_aside_with, count: kept.size) if kept.any?
      end
    end
  end
end
